import { component } from './component.js';
import { chosen, fieldOf, firstOf } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';

const SIDES = ['top', 'right', 'bottom', 'left'];
const THIRDS = ['left', 'centre', 'right'];

/** The dialog in which a style of drafts is changed and kept under a name. */
export const styleDialog = component({
    /** @type {Record<string, any>} */
    set: {},
    /** @type {Record<string, any>} */
    styles: {},
    styleError: '',
    get isOwnStyle() {
        return !!this.styles[this.draftStyle]?.own;
    },
    get logoLabel() {
        return this.set.logo ? 'A picture of this plan' : 'None';
    },
    async editStyle() {
        this.styles = await send('GET', '/styles');
        const { own, name, settings } = this.styles[this.draftStyle] ?? this.styles.report;
        const set = {
            ...settings,
            name: own ? name : `My ${name.toLowerCase()}`,
            paper: settings.paper ?? '',
            title_fields: [...settings.title_fields],
        };
        [set.h1, set.h2, set.h3] = settings.heading_sizes;
        SIDES.forEach((side, i) => {
            set[side] = settings.margins[i];
        });
        for (const line of ['header', 'footer']) {
            THIRDS.forEach((third, i) => {
                set[`${line}_${third}`] = settings[line][i];
            });
        }
        this.set = set;
        this.styleError = '';
        this.$refs.style.showModal();
    },
    closeStyle() {
        this.$refs.style.close();
    },
    settings() {
        const given = this.set;
        const thirds = (/** @type {any} */ line) => THIRDS.map((third) => given[`${line}_${third}`] ?? '');
        return {
            name: given.name.trim(),
            font: given.font.trim(),
            heading_font: given.heading_font.trim(),
            size: given.size,
            heading_sizes: [given.h1, given.h2, given.h3],
            line: given.line,
            gap: given.gap,
            first_line: given.first_line,
            margins: SIDES.map((side) => given[side]),
            paper: given.paper || null,
            breaks: given.breaks,
            has_title_page: given.has_title_page,
            title_fields: given.title_fields,
            is_title_centred: given.is_title_centred,
            header: thirds('header'),
            footer: thirds('footer'),
            logo: given.logo,
            is_dyed: given.is_dyed,
            is_justified: given.is_justified,
            is_hyphenated: given.is_hyphenated,
        };
    },
    async saveStyle() {
        try {
            const settings = this.settings();
            const { id } = await send('POST', '/styles', { settings });
            this.addOption('draft_style', id, settings.name);
            this.draftStyle = id;
            this.closeStyle();
            this.$nextTick(() => this.look());
        } catch (error) {
            this.styleError = reason(error);
        }
    },
    async removeStyle() {
        await send('DELETE', `/styles/${this.draftStyle}`);
        this.$root.querySelector(`select[name=draft_style] option[value="${this.draftStyle}"]`)?.remove();
        this.draftStyle = 'report';
        this.closeStyle();
        this.$nextTick(() => this.look());
    },
    pickLogo() {
        this.$refs.logoFile.click();
    },
    /** @param {Event} event */
    async uploadLogo(event) {
        const form = new FormData();
        form.append('picture', chosen(event));
        try {
            const { picture } = await send('POST', (this.$root.dataset.address ?? '').replace(/hand-over$/, 'pictures'), form);
            this.set.logo = picture.split(':')[0];
        } catch (error) {
            this.styleError = reason(error);
        }
        fieldOf(event).value = '';
    },
    /** @param {string} name @param {any} value @param {string} label */
    addOption(name, value, label) {
        const select = firstOf(this.$root, `select[name=${name}]`, HTMLSelectElement);
        const option = select.querySelector(`option[value="${value}"]`) ?? select.appendChild(new Option(label, value));
        option.textContent = label;
        return option;
    },
});
