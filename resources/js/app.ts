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
import Unreadable from './screens/unreadable.svelte';

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

/** What is wrong with a page's own data. Without a network it is one that was kept, and was looked at then. */
async function wrongWith(name: string, props: unknown): Promise<string | null> {
    const answer = expected[name];
    const wrong = answer ? await checked(answer, props).catch(() => null) : null;
    if (wrong !== null) console.error(wrong);
    return wrong;
}

/** Whether the server was asked for another page since this one was loaded. */
let isAsked = false;
router.on('start', () => (isAsked = true));

void createInertiaApp({
    resolve: async (name, page) => {
        // The first page is resolved twice, and is drawn while what it is held to is still loaded: a wait here would draw it
        // anew under somebody's hands.
        const wrong = page && isAsked ? await wrongWith(name, page.props) : null;
        const load = screens[`./screens/${wrong === null ? name : 'unreadable'}.svelte`];
        if (!load) throw new Error(`There is no screen ${name}.`);
        return load();
    },
    setup({ el, App, props }) {
        if (!el) return;
        const { component, props: given } = props.initialPage;
        isOpen(given['person'] as Person | null | undefined);
        mount(SignInAgain, { target: document.body });
        void wrongWith(component, given).then((wrong) => {
            if (wrong !== null) router.replace({ component: 'unreadable' });
        });
        try {
            mount(App, { target: el, props });
        } catch (error) {
            el.replaceChildren();
            mount(Unreadable, { target: el });
            throw error;
        }
    },
    progress: { delay: 300, color: 'var(--action)' },
});
