import tailwindcss from '@tailwindcss/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [laravel({ input: ['resources/css/app.css', 'resources/js/app.js', 'resources/js/plan.js', 'resources/js/present.js', 'resources/js/second-step.js', 'resources/css/sheets.css', 'resources/js/sheets.js'], refresh: false }), tailwindcss()],
    build: { assetsInlineLimit: 0 },
});
