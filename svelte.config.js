import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

// Styles stay as they are written: they are plain CSS, and preprocessing them would resolve the whole Vite config, which Laravel's plugin refuses in CI.
export default {
    preprocess: vitePreprocess({ style: false }),
    compilerOptions: { runes: ({ filename }) => (filename.includes('node_modules') ? undefined : true) },
};
