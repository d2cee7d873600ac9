import { newId } from '../lib/ids.js';
import { ROOT } from '../state/plan.js';
import { block } from './stored-form.js';

/**
 * What is marked of a note: words within one line, else whole blocks; with nothing marked the block that the caret is in.
 * @param {import('@tiptap/pm/state').EditorState} state
 */
function marked({ doc, selection }) {
    const { $from, $to, from, to, empty } = selection;
    if (!empty && $from.sameParent($to) && $from.parent.inlineContent && (from > $from.start() || to < $from.end())) {
        const line = doc.type.schema.nodes.paragraph.create(null, doc.slice(from, to).content);
        return { from, to, nodes: [line] };
    }
    const [first, last] = [$from.index(0), Math.max($from.index(0), $to.index(0) - ($to.depth === 0 && !empty ? 1 : 0))];
    /** @type {import('@tiptap/pm/model').Node[]} */
    const nodes = [];
    let [start, end] = [0, 0];
    doc.forEach((node, offset, i) => {
        if (i === first) {
            start = offset;
        }
        if (i >= first && i <= last) {
            nodes.push(node);
            end = offset + node.nodeSize;
        }
    });
    return { from: start, to: end, nodes };
}

/** Blocks as they are stored, each as a new one. @param {import('@tiptap/pm/model').Node[]} nodes */
const stored = (nodes) => nodes.map((node) => block(node)).map((one) => ({ ...one, attrs: { ...one.attrs, id: newId() } }));

/**
 * Takes a stretch of the note out in a step of its own, so that what becomes of it elsewhere is undone with it.
 * @param {import('./editor.js').NoteEditor} note
 * @param {{from: number, to: number}} stretch
 * @returns {string} the step
 */
function takeOut(note, { from, to }) {
    const { session } = note.desk;
    note.commit();
    session.steps.clear();
    const step = session.stepFor(`note:${note.topic}`);
    const { view } = note.editor;
    view.dispatch(view.state.tr.delete(from, to).scrollIntoView());
    note.commit();
    session.steps.clear();
    return step;
}

/**
 * Moves what is marked, or the block that the caret is in, to the end of another note. Whether there was anything.
 * @param {import('./editor.js').NoteEditor} note
 * @param {string} target
 */
export function moveTo(note, target) {
    const part = marked(note.editor.state);
    const isBlank = part.nodes.every((node) => node.content.size === 0 && !node.isAtom);
    if (isBlank || target === note.topic) {
        return false;
    }
    const put = stored(part.nodes);
    const step = takeOut(note, part);
    note.desk.session.perform({ type: 'note', topic: target, put, remove: [], order: null, base: [] }, step);
    return true;
}

/** Asks where what is marked goes. @param {import('./editor.js').NoteEditor} note @param {(target: string) => void} done */
export function askWhere(note, done) {
    const { choosing, session } = note.desk;
    const { topic } = note;
    const find = choosing.finder((id) => id === topic);
    choosing.choose('Move this part to', 'Number, or some letters of a title', (/** @type {any} */ wanted) =>
        find(wanted).map((one) => [
            {
                name: `To the end of ${one.name}`,
                act: () => {
                    choosing.close();
                    if (note.topic === topic && moveTo(note, one.id)) {
                        note.desk.say(`Moved to ${one.name}.`, { label: 'Undo', act: () => session.undo() });
                        done(one.id);
                    }
                    note.editor.view.focus();
                },
            },
        ]),
    );
}

/**
 * Makes a section of the heading that the caret is in, with all that follows it: the first part of this one, so that the
 * text reads on as before. Its id; null where there is no such heading.
 * @param {import('./editor.js').NoteEditor} note
 */
export function sectionOfHeading(note) {
    const { state } = note.editor;
    const { topic, desk } = note;
    const { $from } = state.selection;
    const heading = $from.depth > 0 ? $from.node(1) : null;
    if (heading?.type.name !== 'heading' || topic === null) {
        return null;
    }
    if (!heading.content.content.every((node) => node.isText)) {
        desk.say('A citation, a footnote or a reference stands in this heading. Take it into the text first.');
        return null;
    }
    const index = $from.index(0);
    const from = $from.before(1);
    const rest = state.doc.content.content.slice(index + 1);
    const isBlank = rest.every((node) => node.content.size === 0 && !node.isAtom);
    const title = heading.textContent.trim();
    const id = newId();
    const step = takeOut(note, { from, to: state.doc.content.size });
    // The opening note stands before the first section, and so does what is made of it.
    const at = { parent: topic === ROOT ? ROOT : topic, after: null };
    desk.session.perform({ type: 'add', at, topics: [{ id, title, ...(isBlank ? {} : { note: stored(rest) }) }] }, step);
    return id;
}
