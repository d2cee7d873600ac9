/**
 * What the classes of the views that are put together from several files find on the whole that extends them.
 * Nothing here is a program: it is read by the type checker alone.
 */
import type { Answer, Operation, Place, Row } from '../state/topics.js';
import type { ViewState } from '../state/view-state.js';
import type { Tree } from '../state/plan.js';
import type { Page } from './page.js';

export {};

/** What a page brings along of its plan (Http/PlanPage). */
export type PageData = Record<string, any>;
/** A source, as PHP tells it. */
export type Source = Record<string, any> & { id: string };
/** What shows topics, as rows or on the map, and the doors that both have. */
export interface Doors {
    list: Row[];
    index: Map<string | null, number>;
    drawn: Map<string | null, any>;
    box: any;
    scroller: any;
    layOut(list: Row[]): void;
    draw(): void;
    reveal(id: string | null): void;
    refresh(id: string): void;
    measure(): void;
    openField(id: string, input: HTMLInputElement): boolean;
    closeField(input: HTMLInputElement): void;
}
/** Where on the map a branch would land. */
export interface Landing {
    shape: import('../map/shape.js').Shape;
    side: 'inside' | 'before' | 'after';
    at: Place;
}
/** A digit that was pressed, and when, in ms. */
export interface Digit {
    digit: number;
    shift: boolean;
    time: number;
}
/** Something to be done with a menu or a line: `act` when it is chosen. */
export type Offer = { name: string; act: () => unknown; key?: string; [more: string]: any };

declare module './page.js' {
    interface Page {
        session: import('../sync/session.js').Session;
        keeping: import('../sync/keeping.js').Keeping;
        views: import('./registry.js').Views;
        bars: import('../ui/bars.js').Bars;
        citations: import('../note/citations.js').Citations;
        choosing: import('../ui/choosing.js').Choosing;
        desk: import('../note/editor.js').Desk;
        note: import('../note/panel.js').NotePanel;
        outline: import('./outline/outline.js').Outline;
        /** Comes when it is first wanted. */
        map: import('./map/map.js').MapView;
        gather: import('./gather/gather.js').Gather;
        find: import('../ui/find.js').Find;
        work: import('../ui/work.js').WorkFields;
        numberForms: import('../ui/number-forms.js').NumberForms;
        patterns: import('../ui/patterns.js').Patterns;
        questions: import('../ui/questions.js').Questions;
        prompts: () => Promise<import('./prompts/panel.js').Prompts>;
        promptsNow?: import('./prompts/panel.js').Prompts;
        sharing: import('../ui/sharing.js').Sharing;
        votes: import('../ui/votes.js').Votes;
        here: import('../ui/here.js').HereNow;
        fresh: import('../ui/fresh.js').Fresh;
        talk: import('../ui/talk-panel.js').TalkPanel;
        frame: import('../ui/frame.js').Frame;
        labels: import('../ui/labels-dialog.js').LabelsDialog;
        properties: import('../ui/properties.js').PropertiesDialog;
        version: import('../ui/version.js').VersionDialog;
        relations: import('../ui/relations.js').Relations;
        refusals: import('../ui/refusals.js').Refusals;
        keys: import('../ui/keys-dialog.js').KeysDialog;
    }
}

declare module './going.js' {
    interface Going {
        tree: Tree;
        views: import('./registry.js').Views;
        map: import('./map/map.js').MapView;
        note: import('../note/panel.js').NotePanel;
        outline: import('./outline/outline.js').Outline;
        commands: import('../commands/commands.js').Commands;
        queue: import('../sync/queue.js').Queue;
        state: ViewState;
        talk: import('../ui/talk-panel.js').TalkPanel;
        strip: import('../ui/strip.js').StripBar;
        address: string;
        view: string | null;
        show(view: string, remember?: boolean): Promise<void>;
        commit(): void;
    }
}

declare module './anywhere.js' {
    interface Anywhere {
        address: string;
        data: PageData;
        desk: import('../note/editor.js').Desk;
        find: import('../ui/find.js').Find;
        keys: import('../ui/keys-dialog.js').KeysDialog;
        labels: import('../ui/labels-dialog.js').LabelsDialog;
        patterns: import('../ui/patterns.js').Patterns;
        questions: import('../ui/questions.js').Questions;
        prompts: () => Promise<import('./prompts/panel.js').Prompts>;
        promptsNow?: import('./prompts/panel.js').Prompts;
        sharing: import('../ui/sharing.js').Sharing;
        votes: import('../ui/votes.js').Votes;
        talk: import('../ui/talk-panel.js').TalkPanel;
        properties: import('../ui/properties.js').PropertiesDialog;
        tree: Tree;
        version: import('../ui/version.js').VersionDialog;
        views: import('./registry.js').Views;
        perform(operation: Operation, step?: string, typed?: string | null): string;
        undo(): Promise<void>;
        redo(): Promise<void>;
    }
}

declare module './draft/sections.js' {
    interface Sections {
        shown: import('./draft/shown.js').Shown;
        titles: import('./draft/titles.js').DraftTitles;
        alone: import('./draft/alone.js').Alone;
        load(only?: string[] | null): Promise<void>;
    }
}

declare module './outline/topics.js' {
    interface Topics {
        page: Page;
        state: ViewState;
        isMap: boolean;
        rows: Doors;
        titles: import('./outline/writing.js').Writing;
        looks: import('./outline/looks.js').Looks;
        marking: import('./outline/marking.js').Marking;
        draw(): void;
    }
}

declare module './outline/fresh-topics.js' {
    interface FreshTopics {
        outline: import('./outline/outline.js').Outline;
        input: HTMLInputElement;
        /** Topics made here that are still empty, each with the change and the step that made it. */
        fresh: Map<string, { change: string; step: string; written?: boolean }>;
        /** What the field held when its title was last as the plan has it. */
        base: string;
    }
}

declare module './outline/title-enter.js' {
    interface TitleEnter {
        write(id: string, at: number | 'start' | 'end' | 'click', event?: Event | null): void;
        end(isSeen?: boolean, stays?: string | null): void;
    }
}

declare module './map/drawing.js' {
    interface Drawing {
        page: Page;
        outline: import('./outline/outline.js').Outline;
        tree: Tree;
        side: HTMLElement;
        picture: import('./map/picture.js').Picture;
        camera: import('../map/camera.js').Camera;
        overview: import('../map/overview.js').Overview;
        relations: import('./map/relation-layer.js').RelationLayer;
        isShown: boolean;
        isPlaced: boolean;
        /** How much of the right edge the note covers, in pixels. */
        taken: number;
        look: import('../map/canvas.js').Look;
        /** The topic that is brought into sight when it is on the map. */
        follow: string | null;
        isStale: boolean;
        isWhole: boolean;
        /** The answer that is awaited. */
        ticket: object | null;
        drawTools(): void;
    }
}

declare module './map/dragging.js' {
    interface Dragging {
        map: import('./map/map.js').MapView;
        outline: import('./outline/outline.js').Outline;
        box: Element & { focus(): void };
        mark: SVGElement;
        number: HTMLElement;
        /** What is dragged. */
        ids: string[] | undefined;
        place: Landing | null;
        /** Where the number was asked for last. */
        asked: string | undefined;
        asking: ReturnType<typeof setTimeout> | undefined;
        cancel(): void;
    }
}

declare module './gather/ideas.js' {
    interface Ideas {
        page: Page;
        tree: Tree;
        input: HTMLInputElement;
        list: HTMLElement;
        /** What is listed, in order. */
        ids: string[];
        marked: Set<string>;
        active: string | null;
        anchor: string | null;
        menu: import('../ui/popover.js').Popover;
        places: import('./gather/places.js').Places;
        sorting: import('./gather/sorting.js').Sorting;
        draw(): void;
    }
}

declare module './gather/idea-field.js' {
    interface IdeaField {
        inside: HTMLElement;
        asking: import('./gather/asking.js').Asking;
        isLoose(id: string): boolean;
    }
}

declare module './gather/number-entry.js' {
    interface NumberEntry {
        page: Page;
        places: import('./gather/places.js').Places;
        /** The digits of a number that Enter will end; null: none is written. */
        entry: string | null;
        typed: Digit | null;
        choosePlace(id: string): void;
        toSection(id: string): void;
    }
}

declare module './sources/taking-in.js' {
    interface TakingIn {
        page: Page;
        field: HTMLInputElement;
        form: import('./sources/form.js').SourceForm;
        /** The lines that are read, each after the one before. */
        reading: Promise<void>;
        load(): Promise<void>;
        keep(source: Source): void;
    }
}

declare module './sources/entries.js' {
    interface Entries {
        all: Source[];
        filter: string;
        ask(id: string, point?: any): void;
    }
}

declare module './sources/fields.js' {
    interface Fields {
        page: Page;
        side: HTMLElement;
        source: Source;
        changed(source: Source): void;
        draw(): void;
    }
}

declare module './sources/filing.js' {
    interface Filing {
        page: Page;
        list: HTMLElement;
        rows: any[];
        past: any[];
        /** The topics that were chosen in the outline; null: what looks like research. */
        chosen: string[] | null;
        active: string | null;
        at: number;
        draw(): void;
        go(by: number): void;
        load(): Promise<void>;
    }
}

declare module './sources/guesses.js' {
    interface Guesses {
        done: HTMLElement;
        pages: Map<string, any>;
    }
}
