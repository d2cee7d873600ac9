import { byId } from '../../lib/dom.js';
const SECOND_DIGIT = 700;

/** A number that is typed to send an idea somewhere, of one digit or of two. */
export class NumberEntry {
    /**
     * A number may have two digits: where it could go on, a moment is waited for the second. What
     * counts is when the keys were pressed, however late the page comes to them. After 0 nothing
     * is waited for: the number is typed to its end, and Enter sends.
     * @param {{digit: number, shift: boolean}} pressed
     * @param {number} time
     */
    digit({ digit, shift }, time) {
        clearTimeout(this.waiting);
        if (this.entry !== null) {
            this.typeNumber(this.entry + digit);
            return;
        }
        const { typed } = this;
        this.typed = null;
        if (typed && time - typed.time < SECOND_DIGIT) {
            this.toNumber(typed.digit * 10 + digit, typed.shift || shift);
            return;
        }
        if (typed) {
            this.toNumber(typed.digit, typed.shift);
        }
        if (digit === 0) {
            this.typeNumber('');
        } else if (digit * 10 <= this.places.numbered().length) {
            this.typed = { digit, shift, time };
            this.showTyped(`${digit}…`);
            this.waiting = setTimeout(() => this.oneDigit(), SECOND_DIGIT);
        } else {
            this.toNumber(digit, shift);
        }
    }

    /** No second digit has come; one that was pressed in time may wait to be handled still, and comes first. */
    oneDigit() {
        this.waiting = setTimeout(() => {
            const { typed } = this;
            this.typed = null;
            if (typed) {
                this.toNumber(typed.digit, typed.shift);
            }
        }, 30);
    }

    /** A number that is typed to its end. @param {string} entry */
    typeNumber(entry) {
        this.entry = entry;
        this.showTyped(entry ? `${entry}, then Enter` : 'Number, then Enter');
    }

    /** Keys while a number is written; whether this was one of them. @param {string} key */
    inNumber(key) {
        if (this.entry === null) {
            return false;
        }
        if (key === 'Backspace' && this.entry !== '') {
            this.typeNumber(this.entry.slice(0, -1));
            return true;
        }
        const { entry } = this;
        this.endNumber();
        if (key === 'Enter' && entry !== '') {
            this.toNumber(Number(entry), false);
        }
        return ['Enter', 'Backspace', 'Escape'].includes(key);
    }

    endNumber() {
        this.entry = null;
        this.showTyped('');
    }

    /** @param {number} number @param {boolean} opens whether one goes into it */
    toNumber(number, opens) {
        this.showTyped('');
        const id = this.places.numbered()[number - 1];
        if (id) {
            opens ? this.choosePlace(id) : this.toSection(id);
        } else {
            this.page.tell(`There is no section ${number}.`);
        }
    }

    /** @param {string} text */
    showTyped(text) {
        byId('typed').textContent = text;
    }
}
