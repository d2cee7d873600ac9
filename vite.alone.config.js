import { defineConfig } from 'vite';

/** The script and style of the page that stands alone: one file each, which PHP writes into it with the fonts that it carries. */
const withoutFonts = { postcssPlugin: 'without-fonts', AtRule: { 'font-face': (rule) => rule.remove() } };

/** Of the keys only those of what is shown: the others are of pages that this one is not. */
const fewerKeys = {
    name: 'fewer-keys',
    enforce: 'pre',
    transform: (text, id) => (id.endsWith('keys.json') ? JSON.stringify(JSON.parse(text).filter(({ where }) => where === 'present').map(({ where, id, keys }) => ({ where, id, keys }))) : null),
};

export default defineConfig({
    plugins: [fewerKeys],
    publicDir: false,
    css: { postcss: { plugins: [withoutFonts] } },
    build: {
        outDir: 'public/build/alone',
        lib: { entry: 'resources/js/alone.js', formats: ['iife'], name: 'alone', fileName: () => 'alone.js', cssFileName: 'alone' },
        minify: true,
    },
});
