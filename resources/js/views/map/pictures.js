import { putPicture } from '../../ui/put-picture.js';

const NARROWEST = 24;
const WIDEST = 800;

/** Pictures on topics: dropped, pasted or chosen, and as wide as they are pulled. */
export class Pictures {
    constructor(map) {
        this.map = map;
        const { side } = map;
        side.addEventListener('dragover', (event) => {
            if ([...event.dataTransfer.items].some((item) => item.kind === 'file')) {
                event.preventDefault();
                side.classList.add('is-dropping');
            }
        });
        side.addEventListener('dragleave', (event) => !side.contains(event.relatedTarget) && side.classList.remove('is-dropping'));
        side.addEventListener('drop', (event) => {
            side.classList.remove('is-dropping');
            const [file] = event.dataTransfer.files;
            if (file) {
                event.preventDefault();
                this.put(file, this.topicAt(event));
            }
        });
    }

    /** The topic nearest to where a picture was let go, else the marked one. */
    topicAt(event) {
        const [x, y] = this.map.camera.point(event);
        const near = [...this.map.picture.shapes.values()].map((shape) => [shape.distance(x, y), shape.id]).sort(([a], [b]) => a - b)[0];
        return near && near[0] < 60 ? near[1] : this.map.outline.active;
    }

    async put(file, id) {
        await putPicture(this.map.page.session, file, id);
    }

    resize(event, id) {
        const { map } = this;
        const { value } = /@(?<value>\d+)$/.exec(map.tree.get(id).picture).groups;
        const shape = map.picture.shapes.get(id);
        const [start] = shape.seen(...map.camera.point(event));
        const image = event.target.closest('.leaf').querySelector('.topic-picture');
        let width = Number(value);
        map.hands.track(event, {
            move: (e) => {
                const [along] = shape.seen(...map.camera.point(e));
                width = Math.round(
                    Math.max(NARROWEST, Math.min(WIDEST, Number(value) + (shape.isMirrored ? start - along : along - start))),
                );
                image.setAttribute('width', width);
                image.setAttribute('height', (shape.picture[4] * width) / Number(value));
            },
            up: () => {
                if (width !== Number(value)) {
                    map.page.perform({ type: 'picture', ids: [id], value: map.tree.get(id).picture.replace(/@\d+$/, `@${width}`) });
                }
            },
        });
    }
}
