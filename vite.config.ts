import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [laravel({ input: ['resources/js/app.ts'] }), tailwindcss(), svelte()],
    resolve: { alias: { '@': '/resources/js' } },
    build: { chunkSizeWarningLimit: 900 },
});
