import { byId, firstOf } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { counted } from '../lib/counted.js';
import { ROOT, TRAY } from '../state/plan.js';

/** So long a section of the draft is in sight until it is seen, in ms. */
const READ = 1500;
const SENT = 1500;
const AT_ONCE = 500;

/** What others have changed since one was there: marked until one comes to it. */
export class Fresh {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.box = byId('fresh');
        /** Seen, and not told yet. @type {Set<string>} */
        this.seen = new Set();
        /** @type {ReturnType<typeof setTimeout> | undefined} */
        this.telling = undefined;
        page.tree.beside.fresh = new Set(page.data.fresh.topics);
        const [next, all] = [firstOf(this.box, '.next-fresh'), firstOf(this.box, '.unset')];
        next.addEventListener('click', () => this.next());
        all.addEventListener('click', () => this.seeAll());
        page.state.active.listen((id) => id && this.see([id]));
        page.session.channel.on.fresh = (answer) => this.told(answer);
        this.sight = new IntersectionObserver((entries) => this.sighted(entries), { root: byId('draft'), threshold: 0.1 });
        /** @type {Map<Element, ReturnType<typeof setTimeout>>} */
        this.reading = new Map();
        /** Sections of the draft that are new. @type {Set<Element>} */
        this.watched = new Set();
        this.draw();
    }

    get topics() {
        return this.page.tree.beside.fresh;
    }

    /** What others do while one looks on is seen. @param {import('../state/topics.js').Answer} answer */
    told(answer) {
        const ids = answer.topics.map((/** @type {{id: string}} */ { id }) => id);
        if (document.hidden) {
            this.page.tree.beside.fresh = new Set([...this.topics, ...ids]);
            this.draw();
        } else {
            this.tell(ids);
        }
    }

    /** @param {string[]} ids */
    see(ids) {
        const known = ids.filter((id) => this.topics.has(id));
        if (known.length) {
            this.page.tree.beside.fresh = new Set([...this.topics].filter((id) => !known.includes(id)));
            this.tell(known);
            this.draw();
            this.page.views.drawBeside();
        }
    }

    /** @param {string[]} ids */
    tell(ids) {
        ids.forEach((id) => this.seen.add(id));
        this.telling ??= setTimeout(async () => {
            this.telling = undefined;
            const topics = [...this.seen].slice(0, AT_ONCE);
            topics.forEach((id) => this.seen.delete(id));
            await send('POST', `${this.page.address}/seen`, { topics }).catch(() => topics.forEach((id) => this.seen.add(id)));
        }, SENT);
    }

    /** Everything, up to what this page knows. */
    async seeAll() {
        const upTo = this.page.queue.base;
        this.page.tree.beside.fresh = new Set();
        this.draw();
        this.page.draw();
        await send('POST', `${this.page.address}/seen`, { upTo }).catch(() => null);
    }

    /** On to the next that is new, in reading order. */
    next() {
        const { page } = this;
        const all = [...page.tree.branch(ROOT), ...page.tree.branch(TRAY)];
        const at = all.indexOf(page.state.active.get() ?? '');
        const order = all.filter((id) => this.topics.has(id));
        const after = order.find((id) => all.indexOf(id) > at) ?? order[0];
        if (after) {
            page.goTo(after);
            this.see([after]);
        } else {
            this.seeAll();
        }
    }

    draw() {
        const { size } = this.topics;
        this.box.hidden = size === 0;
        firstOf(this.box, 'b').textContent = counted(size, 'new topic');
        this.watch();
    }

    /** In the draft what is new is seen when it has been read. */
    watch() {
        const wanted = new Set();
        for (const id of this.page.view === 'draft' ? this.topics : []) {
            const section = document.querySelector(`#draft [data-topic="${id}"]`);
            section && wanted.add(section);
        }
        // What is being read goes on being read, however often the page is drawn meanwhile.
        for (const section of [...this.watched].filter((one) => !wanted.has(one))) {
            this.sight.unobserve(section);
            clearTimeout(this.reading.get(section));
            this.reading.delete(section);
        }
        for (const section of [...wanted].filter((one) => !this.watched.has(one))) {
            this.sight.observe(section);
        }
        this.watched = wanted;
    }

    /** @param {IntersectionObserverEntry[]} entries */
    sighted(entries) {
        for (const { target, isIntersecting } of entries) {
            clearTimeout(this.reading.get(target));
            const see = () => this.see([/** @type {HTMLElement} */ (target).dataset.topic ?? '']);
            isIntersecting ? this.reading.set(target, setTimeout(see, READ)) : this.reading.delete(target);
        }
    }
}
