import { svelte } from '@sveltejs/vite-plugin-svelte';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { answerChecks } from './bin/schemas.mjs';

// The front end's own logic: what is on its way to the server, undo, clocks, drawing. No rule of the trade is here to test.
export default defineConfig({
    plugins: [answerChecks(), svelte()],
    resolve: {
        alias: { '@': fileURLToPath(new URL('resources/js', import.meta.url)) },
        conditions: ['browser'],
    },
    // A file that wants a document says so at its top.
    test: {
        environment: 'node',
        pool: 'threads',
        include: ['tests/Unit/**/*.test.ts'],
        restoreMocks: true,
        // Wide, as a machine shared with others may stand still for seconds.
        testTimeout: 60_000,
    },
});
