import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { answerChecks } from './bin/schemas.mjs';

export default defineConfig({
    plugins: [
        answerChecks(),
        laravel({ input: ['resources/js/app.ts', 'resources/js/bench-worker.ts'] }),
        tailwindcss(),
        svelte(),
    ],
    resolve: { alias: { '@': '/resources/js' } },
    build: {
        chunkSizeWarningLimit: 900,
        // A browser finds its worker anew by the name; everything else is named by what it holds.
        rollupOptions: {
            output: {
                entryFileNames: ({ name }) =>
                    name === 'bench-worker' ? 'bench-worker.js' : 'assets/[name]-[hash].js',
            },
        },
    },
});
