import qrcode from 'qrcode-generator';

/** Modules of white around the picture, as ISO/IEC 18004 wants them. */
const QUIET = 4;

const place = /** @type {HTMLElement | null} */ (document.querySelector('.code-picture'));
if (place) {
    const code = qrcode(0, 'M');
    code.addData(place.dataset.address ?? '');
    code.make();
    const count = code.getModuleCount();
    const size = count + 2 * QUIET;
    let path = '';
    for (let row = 0; row < count; row++) {
        for (let column = 0; column < count; column++) {
            path += code.isDark(row, column) ? `M${column + QUIET} ${row + QUIET}h1v1h-1z` : '';
        }
    }
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.setAttribute('viewBox', `0 0 ${size} ${size}`);
    svg.setAttribute('aria-hidden', 'true');
    const drawn = document.createElementNS(svg.namespaceURI, 'path');
    drawn.setAttribute('d', path);
    svg.append(drawn);
    place.append(svg);
}
