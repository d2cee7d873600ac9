import { Extension, InputRule } from '@tiptap/core';

/**
 * Quotation marks by the language, where the option is on: double open, double close, single open, single close.
 * @type {Record<string, string>}
 */
const QUOTES = { de: '„“‚‘', fr: '«»‹›', it: '«»“”', es: '«»“”', pl: '„”‚’', nl: '“”‘’', ja: '「」『』', zh: '“”‘’', en: '“”‘’' };

/** @param {() => boolean} isOn @param {() => string} language */
export function typographic(isOn, language) {
    const [open, close, openOne, closeOne] = QUOTES[language().split('-')[0]] ?? QUOTES.en;
    // What stands before is only looked at, so that a rule replaces its own sign and no formatting.
    const rule = (/** @type {RegExp} */ find, /** @type {string} */ replaced) =>
        new InputRule({
            find,
            handler: ({ state, range }) => {
                if (
                    !isOn() ||
                    state.selection.$from.parent.type.spec.code ||
                    state.selection.$from.marks().some((mark) => mark.type.name === 'code')
                ) {
                    return null;
                }
                state.tr.insertText(replaced, range.from, range.to);
            },
        });
    const begins = '(?<=^|[\\s([{–—„“«‚‘-])';
    return Extension.create({
        name: 'typographic',
        addInputRules: () => [
            rule(new RegExp(`${begins}"$`), open),
            rule(/"$/, close),
            rule(new RegExp(`${begins}'$`), openOne),
            rule(new RegExp(`(?<=${openOne}[^${closeOne}]*)'$`), closeOne),
            rule(/'$/, '’'),
            rule(/--$/, '–'),
            rule(/–-$/, '—'),
            rule(/\.\.\.$/, '…'),
        ],
    });
}
