import { createInertiaApp } from '@inertiajs/svelte';
import type { Component } from 'svelte';
import { mount } from 'svelte';
import '../css/app.css';
import { applyTheme } from './lib/theme.svelte';

applyTheme();

const screens = import.meta.glob<{ default: Component }>(
    './screens/{sign-in,failure,rack/rack,job/job}.svelte',
);

void createInertiaApp({
    resolve: async (name) => {
        const load = screens[`./screens/${name}.svelte`];
        if (!load) throw new Error(`There is no screen ${name}.`);
        return load();
    },
    setup({ el, App, props }) {
        if (el) mount(App, { target: el, props });
    },
    progress: { delay: 300, color: 'var(--action)' },
});
