import { around } from '../lib/dom.js';
import { ROOT } from '../state/plan.js';
import { say } from '../ui/toast.js';

/** Ways from the page to somewhere else: to a topic, to a note, to another page of ours, when what was written has gone out. */
export class Going {
    /** A link to another of our pages, as one that hands over, which is to show the plan as it is here. @param {MouseEvent} event */
    followed(event) {
        const link = /** @type {HTMLAnchorElement | null} */ (around(event, 'a[href]'));
        const isOwn = link && link.origin === location.origin && !link.target && !link.hasAttribute('download') && !link.isContentEditable;
        if (
            isOwn &&
            !event.defaultPrevented &&
            event.button === 0 &&
            !event.ctrlKey &&
            !event.metaKey &&
            !event.shiftKey &&
            !event.altKey
        ) {
            event.preventDefault();
            this.leaveFor(link.href);
        }
    }

    /** Goes to another page, when what was written here has gone out, or cannot go now. @param {string} address */
    async leaveFor(address) {
        this.commit();
        const sent = [this.queue, this.state.kept.folds, this.state.kept.look].map((one) => one.flush());
        await Promise.race([Promise.all([...sent, this.map?.asked]), new Promise((after) => setTimeout(after, 3000))]);
        location.assign(address);
    }

    /** @param {string} id */
    goTo(id) {
        if (this.view === 'draft' && !this.strip.dragged && this.views.now.shows(id)) {
            this.views.now.reveal(id);
        } else if (!this.strip.dragged) {
            this.show(this.view === 'map' ? 'map' : 'outline');
            this.outline.goTo(id);
        }
    }

    /** The note that stands before the first section. */
    openOpening() {
        this.show(this.view === 'map' ? 'map' : 'outline');
        this.note.open(ROOT);
    }

    /** Where a note is written that is named elsewhere. @param {string} id */
    openNoteOf(id) {
        this.show('outline');
        if (id !== ROOT) {
            this.outline.goTo(id);
        }
        this.note.open(id);
    }

    /** The address that leads to something in the plan is copied, to be given to others. @param {string} what as `topic=…` */
    async copyAddress(what) {
        const view = this.view === 'map' ? '/map' : '';
        await navigator.clipboard?.writeText(`${location.origin}${this.address}${view}#${what}`).catch(() => null);
        say('The link is copied.');
    }

    /** What another page, or a link, asks for: a command (`#do=…`), a topic, its note (`#note=…`), or a comment. */
    doWhatTheAddressSays() {
        const wanted = new URLSearchParams(location.hash.slice(1));
        const [command, topic, note, comment] = ['do', 'topic', 'note', 'comment'].map((one) => wanted.get(one));
        if (command || topic || note || comment) {
            history.replaceState(null, '', location.pathname + location.search);
        }
        if (command) {
            this.commands.run('anywhere', command);
        } else if (topic && this.tree.get(topic)) {
            this.goTo(topic);
        } else if (note && (note === ROOT || this.tree.get(note))) {
            this.openNoteOf(note);
        } else if (comment) {
            this.talk.reveal(comment);
        }
    }
}
