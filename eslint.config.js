import js from '@eslint/js';
import globals from 'globals';

export default [
    { ignores: ['node_modules/', 'vendor/', 'public/', 'storage/'] },
    js.configs.recommended,
    {
        files: ['resources/js/**/*.js'],
        languageOptions: { globals: { ...globals.browser } },
        rules: { 'no-unused-expressions': 'off', 'max-lines': ['error', { max: 250 }], 'max-len': ['error', { code: 140, ignoreUrls: true }] },
    },
    { files: ['tests/**/*.{js,mjs}', 'bench/**/*.{js,mjs}', 'bin/**/*.mjs', '*.config.js'], languageOptions: { globals: { ...globals.node, ...globals.browser } } },
];
