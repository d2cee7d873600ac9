import { always, when } from '../../commands/commands.js';

const KINDS = { kindSection: 'section', kindPoint: 'point', kindQuote: 'quote', kindAside: 'aside' };

/**
 * What can be done with the marked topics, on the outline and on the map.
 * @param {import('./outline.js').Outline} outline
 */
export function rowCommands(outline) {
    const { marking, moving, looks, clipboard, menu, page, tree } = outline;
    const { parts, place } = {
        parts: (/** @type {string} */ id) => tree.partsOf(id),
        place: (/** @type {string} */ id) => tree.placeOf(id),
    };
    /** Something that is done with a topic that is shown. */
    const row = (/** @type {(...given: any[]) => unknown} */ run) => when(({ id }) => outline.isShown(id), run);
    /** The same where something more must hold of it. */
    const rowThat = (/** @type {any} */ holds, /** @type {(...given: any[]) => unknown} */ run) =>
        when((at) => outline.isShown(at.id) && holds(at.id), run);
    const some = always;
    const kinds = Object.entries(KINDS).map(([id, kind]) => [id, row(() => outline.setField('kind', kind))]);

    return {
        above: some(() => marking.step(-1)),
        below: some(() => marking.step(1)),
        firstRow: some(() => marking.step(-marking.index())),
        lastRow: some(() => marking.step(outline.list.length - 1 - marking.index())),
        markAbove: row(() => marking.stretch(-1)),
        markBelow: row(() => marking.stretch(1)),
        markToFirst: row(() => marking.stretch(-outline.list.length)),
        markToLast: row(() => marking.stretch(outline.list.length)),
        passAbove: row(() => marking.pass(-1)),
        passBelow: row(() => marking.pass(1)),
        toggleMark: row((/** @type {{id: string}} */ { id }) => marking.toggle(id)),
        markAll: row((/** @type {{id: string}} */ { id }) => marking.all(id)),
        markMore: row((/** @type {{id: string}} */ { id }) => marking.more(id)),
        done: row(() => marking.done()),
        foldOrParent: row((/** @type {{id: string}} */ { id }) => marking.foldOrParent(id)),
        unfoldOrPart: row((/** @type {{id: string}} */ { id }) => marking.unfoldOrPart(id)),
        toggleFold: rowThat(
            (/** @type {string} */ id) => parts(id).length > 0,
            (/** @type {{id: string}} */ { id }) => outline.setFolds((folds) => (folds.has(id) ? folds.delete(id) : folds.add(id))),
        ),
        foldToLevel: some(({ event }) => outline.foldTo(Number(/** @type {KeyboardEvent} */ (event).code.slice(-1)))),
        unfoldAll: some(() => outline.setFolds((folds) => folds.clear())),

        write: row((/** @type {{id: string}} */ { id }) => outline.titles.write(id, 'end')),
        addAfter: row((/** @type {{id: string}} */ { id }) => outline.addBeside({ parent: tree.get(id).parent, after: id })),
        addBefore: row((/** @type {{id: string}} */ { id }) => outline.addBeside(place(id))),
        addInside: row((/** @type {{id: string}} */ { id }) => outline.addBeside(tree.lastPlace(id))),
        wrap: row(() => moving.wrap()),
        openNote: row((/** @type {{id: string}} */ { id }) => {
            marking.only(id);
            outline.note.open(id);
        }),
        moveUp: row(() => moving.shift(-1)),
        moveDown: row(() => moving.shift(1)),
        inward: row(() => moving.inward()),
        outward: row(() => moving.outward()),
        moveTo: row(() => moving.moveTo()),
        toAnotherPlan: row(() => moving.toAnotherPlan()),
        loosen: row(() => moving.loosen()),
        dissolve: row(() => moving.dissolve()),
        joinAbove: row(() => moving.joinAbove()),
        foldIn: row(() => moving.askFold()),
        sortOut: row((/** @type {{id: string}} */ { id }) => page.sortOut(outline.marked.size ? outline.markedInOrder() : [id])),
        relate: row((/** @type {{id: string}} */ { id }) => page.relations.relate(id)),
        showRelations: row((/** @type {{id: string, anchor: any}} */ { id, anchor }) => menu.open(id, anchor, 'relations')),
        duplicate: row(() => clipboard.duplicate()),
        remove: row(() => outline.remove(outline.markedInOrder())),
        handOverBranch: row((/** @type {{id: string}} */ { id }) => page.leaveFor(`${outline.address}/hand-over?from=${id}`)),
        keepPattern: rowThat(
            (/** @type {string} */ id) => parts(id).length > 0,
            (/** @type {{id: string}} */ { id }) => page.patterns.keep(id),
        ),
        askAbout: row((/** @type {{id: string}} */ { id }) => page.questions.open(id)),
        promptsOf: row(async (/** @type {{id: string}} */ { id }) => (await page.prompts()).open('', id)),
        setPattern: row((/** @type {{id: string}} */ { id }) => page.patterns.set(id)),
        takeInBelow: row((/** @type {{id: string}} */ { id }) => page.leaveFor(`/intake?into=${page.data.plan}&under=${id}`)),

        ...Object.fromEntries(kinds),
        chooseDye: row((/** @type {{id: string, anchor: any}} */ { id, anchor }) => menu.open(id, anchor, 'dye')),
        chooseFlag: row((/** @type {{id: string, anchor: any}} */ { id, anchor }) => menu.open(id, anchor, 'flag')),
        chooseLabels: row((/** @type {{id: string, anchor: any}} */ { id, anchor }) => menu.open(id, anchor, 'labels')),
        setTarget: row((/** @type {{id: string, anchor: any}} */ { id, anchor }) => menu.open(id, anchor, 'target')),
        setWork: row((/** @type {{id: string, anchor: any}} */ { id, anchor }) => menu.open(id, anchor, 'work')),
        finishWork: row(() => page.work.toggleDone(outline.markedInOrder())),
        openMenu: row((/** @type {{id: string, anchor: any}} */ { id, anchor }) => menu.open(id, anchor)),
        sayAbout: row((/** @type {{id: string}} */ { id }) => page.talk.say(id)),
        copyLink: row((/** @type {{id: string}} */ { id }) => page.copyAddress(`topic=${id}`)),
        focusBranch: row((/** @type {{id: string}} */ { id }) => looks.toggle(id, false)),
        dimRest: row((/** @type {{id: string}} */ { id }) => looks.toggle(id, true)),
        showKeys: some(() => page.keys.open()),
    };
}
