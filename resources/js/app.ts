import { createInertiaApp } from '@inertiajs/svelte';
import type { Component } from 'svelte';
import { mount } from 'svelte';
import '../css/app.css';
import type { Answers } from './lib/answers';
import { checked } from './lib/checked';
import { applyTheme } from './lib/theme.svelte';

applyTheme();

const screens = import.meta.glob<{ default: Component }>(
    './screens/{sign-in,failure,unreadable,rack/rack,job/job}.svelte',
);

/** What the server says of a page, by its screen. */
const expected: Record<string, keyof Answers> = { 'rack/rack': 'Rack', 'job/job': 'JobScreen' };

void createInertiaApp({
    resolve: async (name, page) => {
        const answer = expected[name];
        const wrong = answer && page ? checked(answer, page.props) : null;
        if (wrong !== null) console.error(wrong);
        const load = screens[`./screens/${wrong === null ? name : 'unreadable'}.svelte`];
        if (!load) throw new Error(`There is no screen ${name}.`);
        return load();
    },
    setup({ el, App, props }) {
        if (el) mount(App, { target: el, props });
    },
    progress: { delay: 300, color: 'var(--action)' },
});
