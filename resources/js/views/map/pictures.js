import { around, firstOf } from '../../lib/dom.js';
import { putPicture } from '../../ui/put-picture.js';

const NARROWEST = 24;
const WIDEST = 800;

/** Pictures on topics: dropped, pasted or chosen, and as wide as they are pulled. */
export class Pictures {
    /** @param {import('./map.js').MapView} map */
    constructor(map) {
        this.map = map;
        const { side } = map;
        side.addEventListener('dragover', (event) => {
            if ([...(event.dataTransfer?.items ?? [])].some((item) => item.kind === 'file')) {
                event.preventDefault();
                side.classList.add('is-dropping');
            }
        });
        side.addEventListener(
            'dragleave',
            (event) => !side.contains(/** @type {Node | null} */ (event.relatedTarget)) && side.classList.remove('is-dropping'),
        );
        side.addEventListener('drop', (event) => {
            side.classList.remove('is-dropping');
            const file = event.dataTransfer?.files[0];
            const id = this.topicAt(event);
            if (file && id) {
                event.preventDefault();
                this.put(file, id);
            }
        });
    }

    /** The topic nearest to where a picture was let go, else the marked one. @param {MouseEvent} event @returns {string | null} */
    topicAt(event) {
        const [x, y] = this.map.camera.point(event);
        const near = [...this.map.picture.shapes.values()]
            .map((shape) => ({ far: shape.distance(x, y), id: shape.id }))
            .sort((a, b) => a.far - b.far)[0];
        return near && near.far < 60 ? near.id : this.map.outline.active;
    }

    /** @param {File} file @param {string} id */
    async put(file, id) {
        await putPicture(this.map.page.session, file, id);
    }

    /** @param {PointerEvent} event @param {string} id */
    resize(event, id) {
        const { map } = this;
        const shown = map.tree.get(id).picture ?? '';
        const value = /@(\d+)$/.exec(shown)?.[1];
        const shape = map.picture.shapes.get(id);
        const leaf = around(event, '.leaf');
        if (!shape?.picture || !leaf) {
            return;
        }
        const high = shape.picture[4];
        const [start] = shape.seen(...map.camera.point(event));
        const image = firstOf(leaf, '.topic-picture');
        let width = Number(value);
        map.hands.track(event, {
            move: (e) => {
                const [along] = shape.seen(...map.camera.point(e));
                width = Math.round(
                    Math.max(NARROWEST, Math.min(WIDEST, Number(value) + (shape.isMirrored ? start - along : along - start))),
                );
                image.setAttribute('width', String(width));
                image.setAttribute('height', String((high * width) / Number(value)));
            },
            up: () => {
                if (width !== Number(value)) {
                    map.page.perform({ type: 'picture', ids: [id], value: shown.replace(/@\d+$/, `@${width}`) });
                }
            },
        });
    }
}
