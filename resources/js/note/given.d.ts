/**
 * What the classes of the note that are put together from several files find on the whole that extends them.
 * Nothing here is a program: it is read by the type checker alone.
 */
import type { Editor } from '@tiptap/core';
import type { Node } from '@tiptap/pm/model';
import type { Session } from '../sync/session.js';

export {};

/** A block of a note as it is stored (RichText/Schema). */
export type Block = { type: string; attrs: Record<string, any> & { id: string }; content?: any[]; [more: string]: any };

declare module './arriving.js' {
    interface Arriving {
        session: Session;
        citations: import('./citations.js').Citations;
        editor: Editor;
        topic: string | null;
        /** The change that is on its way, if any. */
        change: { id: string; now: Map<string, any> } | null;
        ticket: number;
        isBlank: boolean;
        onState(): void;
        known(blocks: Block[]): void;
        documentOf(blocks: Block[]): Node;
        changed(): void;
    }
}

declare module './signs.js' {
    interface Signs {
        desk: import('./editor.js').Desk;
        editor: Editor;
    }
}
