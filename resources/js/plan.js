import { byId } from './lib/dom.js';
import { Commands } from './commands/commands.js';
import { newId } from './lib/ids.js';
import { versions } from './lib/http.js';
import { know } from './lib/vocabulary.js';
import { Citations } from './note/citations.js';
import { NotePanel } from './note/panel.js';
import { dropFiles } from './pages/drop-files.js';
import { Talk } from './state/talk.js';
import { Tree } from './state/plan.js';
import { ViewState } from './state/view-state.js';
import { Personal } from './sync/personal.js';
import { Keeping } from './sync/keeping.js';
import { Newer } from './sync/newer.js';
import { Rights } from './sync/rights.js';
import { Session } from './sync/session.js';
import { Talking } from './sync/talking.js';
import { Bars } from './ui/bars.js';
import { Choosing } from './ui/choosing.js';
import { Find } from './ui/find.js';
import { Fresh } from './ui/fresh.js';
import { Frame } from './ui/frame.js';
import { HereNow } from './ui/here.js';
import { KeysDialog } from './ui/keys-dialog.js';
import { LabelsDialog } from './ui/labels-dialog.js';
import { Patterns } from './ui/patterns.js';
import { Questions } from './ui/questions.js';
import { NumberForms } from './ui/number-forms.js';
import { PropertiesDialog } from './ui/properties.js';
import { Refusals } from './ui/refusals.js';
import { Relations } from './ui/relations.js';
import { Sharing } from './ui/sharing.js';
import { rightsChanged } from './ui/taken-out.js';
import { TalkPanel } from './ui/talk-panel.js';
import { say } from './ui/toast.js';
import { Votes } from './ui/votes.js';
import { WorkFields } from './ui/work.js';
import { VersionDialog } from './ui/version.js';
import { Gather } from './views/gather/gather.js';
import { Outline } from './views/outline/outline.js';
import { Page } from './views/page.js';
import { Views } from './views/registry.js';

/** Puts the page of a plan together, each part out of those before it. @param {any} data */
function compose(data) {
    const tree = new Tree(data);
    const kept = { folds: new Personal(data, 'folds', { folded: data.folds }), look: new Personal(data, 'look', data.look) };
    const state = new ViewState(tree, kept, `embrel.unfolded.${data.user}.${data.plan}`, data.me);
    const rights = new Rights(data, say);
    const commands = new Commands(rights);
    const page = new Page(data, { tree, state, commands });
    const session = (page.session = new Session(data, tree, rights, page.happenings));
    page.keeping = new Keeping(session);
    page.views = new Views(page.address, {
        whenLeft: () => page.outline.titles.end(),
        whenShown: (name) => page.shown(name),
        whenLost: () => say('The server cannot be reached, so this view cannot be opened yet.'),
    });
    page.bars = new Bars(commands);
    page.citations = new Citations(session);
    page.choosing = new Choosing(session);
    page.desk = {
        editors: new Set(),
        session,
        citations: page.citations,
        choosing: page.choosing,
        say,
        goTo: (id) => page.goTo(id),
        paragraph: (text) => ({
            type: 'paragraph',
            attrs: { id: newId() },
            content: text ? [{ type: 'text', text }] : [],
        }),
    };
    page.note = new NotePanel(page.desk, {
        opening: (id) => page.outline.titles.end(true, id),
        closed: () => page.outline.titles.sweep(),
        back: () => page.back(),
        sized: () => page.map?.narrowed(),
        beside: () => byId(page.view === 'gather' ? 'gather' : 'work'),
    });
    page.note.waiting.box.readOnly = !session.rights.mayWrite;
    page.outline = new Outline(page);
    page.gather = new Gather(page);
    page.find = new Find(page);
    page.frame = new Frame(session, { go: (id) => page.goTo(id), here: () => state.active.get() });
    page.properties = new PropertiesDialog(session);
    page.numberForms = new NumberForms(session, (set) => page.setPlan(set));
    page.work = new WorkFields(session, data.people);
    page.labels = new LabelsDialog(session, (label) => page.outline.looks.onlyLabelled(label));
    page.patterns = new Patterns(page);
    page.questions = new Questions(page);
    /** Fetched when it is first wanted. @type {Promise<import('./views/prompts/panel.js').Prompts> | null} */
    let prompts = null;
    page.prompts = () => (prompts ??= import('./views/prompts/panel.js').then(({ Prompts }) => (page.promptsNow = new Prompts(page))));
    page.sharing = new Sharing(session);
    // Whatever tells how far it is said, votes may be among that: they are asked for after it, never before.
    const said = () => (page.talk.draw(), page.votes.told());
    page.talk = new TalkPanel(page, new Talking(session, new Talk(data.fresh.talk), said));
    const narrow = matchMedia('(max-width: 32.5em)');
    const fit = () => (tree.beside.isNarrow = narrow.matches);
    narrow.addEventListener('change', () => (fit(), page.outline.draw()));
    fit();
    page.here = new HereNow(page);
    page.fresh = new Fresh(page);
    page.votes = new Votes(page);
    session.channel.on.talk = async () => (await page.talk.talking.load()) !== false && (await page.votes.told()) !== false;
    session.channel.on.people = () => rightsChanged(page);
    page.version = new VersionDialog(session, () => page.commit());
    page.relations = new Relations(page);
    page.refusals = new Refusals(page);
    page.keys = new KeysDialog(commands, {
        places: () => page.places(),
        at: () => ({ id: state.active.get(), anchor: page.outline.rows.drawn.get(state.active.get()) }),
        back: () => page.back(),
    });
    addViews(page);
    page.provide();
    watchVersion(session);
    return page;
}

/** A page of an older version loads itself anew where nothing is lost by it. @param {Session} session */
function watchVersion(session) {
    const isUnsent = (/** @type {HTMLTextAreaElement | HTMLInputElement} */ field) =>
        field.offsetParent !== null && field.value !== field.defaultValue;
    const isBusy = () =>
        !session.queue.isEmpty ||
        session.isHeld ||
        session.turns > 0 ||
        document.querySelector('dialog[open], :popover-open, [aria-busy=true]') !== null ||
        [...document.querySelectorAll('textarea, input[type=text]')].some((field) => isUnsent(/** @type {HTMLTextAreaElement} */ (field)));
    // In sight, who has the caret somewhere goes on there.
    const isWriting = () => !document.hidden && document.activeElement?.matches('input, textarea, [contenteditable=true]') === true;
    const version = document.querySelector('meta[name=embrel-version]')?.getAttribute('content') ?? '';
    const newer = new Newer({ version, mayGo: () => !isBusy() && !isWriting() });
    versions.heard = (told) => newer.heard(told);
}

/**
 * What the outline does not need to begin is fetched when it is first wanted, or when there is nothing else to do.
 * @param {import('./views/page.js').Page} page
 */
function addViews(page) {
    const { views } = page;
    const fetched = (/** @type {any} */ module, /** @type {any} */ make) => () => module().then(make);
    const map = fetched(
        () => import('./views/map/map.js'),
        (/** @type {{MapView: any}} */ { MapView }) => (page.map = new MapView(page)),
    );
    const draft = fetched(
        () => import('./views/draft/draft.js'),
        (/** @type {{Draft: any}} */ { Draft }) => new Draft(page),
    );
    const sources = fetched(
        () => import('./views/sources/sources.js'),
        (/** @type {{SourcesView: any}} */ { SourcesView }) => new SourcesView(page),
    );
    const research = fetched(
        () => import('./views/sources/research.js'),
        (/** @type {{ResearchView: any}} */ { ResearchView }) => new ResearchView(page),
    );
    const check = fetched(
        () => import('./views/check/check.js'),
        (/** @type {{Check: any}} */ { Check }) => new Check(page),
    );
    const schedule = fetched(
        () => import('./views/schedule/schedule.js'),
        (/** @type {{ScheduleView: any}} */ { ScheduleView }) => new ScheduleView(page),
    );
    const film = fetched(
        () => import('./views/film/film.js'),
        (/** @type {{Film: any}} */ { Film }) => new Film(page),
    );
    views.add('gather', page.gather, { path: '/gather', box: 'gather' });
    views.add('outline', page.outline, { path: '', box: 'outline-side' });
    views.add('map', null, { path: '/map', box: 'map', load: map });
    views.add('draft', null, { path: '/draft', box: 'draft', load: draft });
    views.add('sources', null, { path: '/sources', box: 'sources-view', load: sources });
    views.add('check', null, { path: '/check', box: 'check', load: check });
    views.add('schedule', null, { path: '/schedule', box: 'schedule', tab: 'outline', load: schedule });
    views.add('film', null, { path: '/film', box: 'film', tab: '', load: film });
    views.add('sorting-out', null, { path: '/sorting-out', box: 'research', tab: 'sources', load: research });
}

/** When the page has nothing else to do. */
const whenIdle = (/** @type {(...given: any[]) => unknown} */ act) =>
    'requestIdleCallback' in globalThis ? requestIdleCallback(act, { timeout: 3000 }) : setTimeout(act, 500);

const data = JSON.parse(byId('plan-data').textContent);
know(data.vocabulary);
window.addEventListener('DOMContentLoaded', () => {
    const page = compose(data);
    page.begin();
    whenIdle(async () => {
        await page.note.fetch();
        await page.views.fetchAll();
        await page.keeping.begin();
    });
});
dropFiles(data.plan);
