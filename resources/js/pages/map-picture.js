import { figures } from '../lib/counted.js';

/** Of most browsers; larger ones are left blank without a word. */
const LONGEST = 16384;
const LARGEST = 16384 * 16384 * 0.5;

/**
 * A map as PNG: the SVG with its fonts, drawn by the browser so many times as large as it is.
 *
 * @throws Error with a sentence for the person
 * @param {string} address
 * @param {any} times
 */
export async function toPng(address, times) {
    const response = await fetch(address).catch(() => null);
    if (!response?.ok) {
        throw new Error('The map cannot be had: the server cannot be reached.');
    }
    const svg = await response.text();
    const size = /<svg[^>]* width="([\d.]+)" height="([\d.]+)"/.exec(svg);
    if (!size) {
        throw new Error('The map that came cannot be read.');
    }
    const [, width, height] = size.map(Number);
    const [w, h] = [Math.ceil(width * times), Math.ceil(height * times)];
    if (w > LONGEST || h > LONGEST || w * h > LARGEST) {
        throw new Error(
            `At ${times} times this map is ${figures(w)} by ${figures(h)} pixels, more than a browser can draw. ` +
                'Choose a smaller size, one branch, or SVG.',
        );
    }
    const image = new Image();
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
    await image.decode();
    const canvas = Object.assign(document.createElement('canvas'), { width: w, height: h });
    canvas.getContext('2d')?.drawImage(image, 0, 0, w, h);
    return new Promise((resolve, reject) =>
        canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('This browser could not draw so large a picture.'))), 'image/png'),
    );
}

/** @param {any} blob @param {string} name */
export function download(blob, name) {
    const link = Object.assign(document.createElement('a'), { href: URL.createObjectURL(blob), download: name });
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
