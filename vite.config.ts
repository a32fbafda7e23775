import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { answerChecks } from './bin/schemas.mjs';

export default defineConfig({
    plugins: [answerChecks(), laravel({ input: ['resources/js/app.ts'] }), tailwindcss(), svelte()],
    resolve: { alias: { '@': '/resources/js' } },
    build: { chunkSizeWarningLimit: 900 },
});
