/**
 * What the classes of find and of the topic's menu, which are put together from several files, find on the whole.
 * Nothing here is a program: it is read by the type checker alone.
 */
export {};

/** A place where the words that are looked for stand. */
export type Hit = { topic: string; [more: string]: any };

declare module './replacing.js' {
    interface Replacing {
        page: any;
        with: HTMLInputElement;
        changes: HTMLDialogElement;
        hits: Hit[];
        total: number;
        query: Record<string, any>;
        isOn(toggle: string): boolean;
        look(): Promise<void>;
    }
}

declare module './painting.js' {
    interface Painting {
        at: number;
        byTopic: Map<string, Hit[]>;
    }
}

declare module './topic-fields.js' {
    interface TopicFields {
        outline: any;
        attached: import('./files.js').Files;
        ids: string[];
        set(type: string, value: any): void;
    }
}

declare module './talk-acts.js' {
    interface TalkActs {
        list: HTMLElement;
        places: import('./said-places.js').SaidPlaces;
        draw(): void;
        card(id: string): HTMLElement | null;
    }
}
