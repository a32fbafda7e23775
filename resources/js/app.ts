import { createInertiaApp, router } from '@inertiajs/svelte';
import type { Component } from 'svelte';
import { mount } from 'svelte';
import '../css/app.css';
import type { Answers, Person } from './lib/answers';
import { checked } from './lib/checked';
import { logQueue, startLogQueue, watchLogQueue } from './lib/log-queue';
import { benchIsOf } from './lib/offline-bench';
import { photoQueue } from './lib/photo-queue.svelte';
import { session } from './lib/session.svelte';
import { applyTheme } from './lib/theme.svelte';
import SignInAgain from './parts/sign-in-again.svelte';

applyTheme();

const screens = import.meta.glob<{ default: Component }>(
    './screens/{sign-in,failure,unreadable,rack/rack,stores/stores,shop/shop,small/small,job/job}.svelte',
);

/** What the server says of a page, by its screen. */
const expected: Record<string, keyof Answers> = {
    'rack/rack': 'Rack',
    'stores/stores': 'StoresScreen',
    'small/small': 'SmallScreen',
    'shop/shop': 'ShopScreen',
    'job/job': 'JobScreen',
};

/** A page of somebody's was opened: what they made on this device goes out. */
function isOpen(person: Person | null | undefined): void {
    if (person?.id === session.person?.id) return;
    session.person = person ?? null;
    benchIsOf(session.person?.id ?? null);
    void startLogQueue(session.person);
    void photoQueue.isFor(session.person);
}

router.on('navigate', (event) => isOpen(event.detail.page.props['person'] as Person | null | undefined));
document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') void session.check();
});
for (const queue of [logQueue, photoQueue]) queue.onstranger(() => void session.check());
watchLogQueue();
for (const when of ['online', 'pageshow']) window.addEventListener(when, () => void photoQueue.flush());

/** Holds a page to its schema beside its being drawn, and puts it away where it is something else. */
async function isKnown(answer: keyof Answers, props: unknown): Promise<void> {
    // Without a network the page is one that was kept, and was looked at then.
    const wrong = await checked(answer, props).catch(() => null);
    if (wrong === null) return;
    console.error(wrong);
    router.replace({ component: 'unreadable' });
}

void createInertiaApp({
    resolve: async (name, page) => {
        const answer = expected[name];
        if (answer && page) void isKnown(answer, page.props);
        const load = screens[`./screens/${name}.svelte`];
        if (!load) throw new Error(`There is no screen ${name}.`);
        return load();
    },
    setup({ el, App, props }) {
        if (!el) return;
        isOpen(props.initialPage.props['person'] as Person | null | undefined);
        mount(App, { target: el, props });
        mount(SignInAgain, { target: document.body });
    },
    progress: { delay: 300, color: 'var(--action)' },
});
