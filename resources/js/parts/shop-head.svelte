<script lang="ts">
    // The head of what belongs to the shop and not to one job: where one is, who one is, and the way out.
    import { router } from '@inertiajs/svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import type { Person } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { logQueue } from '@/lib/log-queue';
    import { photoQueue } from '@/lib/photo-queue.svelte';
    import { toggleTheme } from '@/lib/theme.svelte';
    import KeysDialog from './keys-dialog.svelte';
    import QueueMark from './log-queue/queue-mark.svelte';

    type Props = { shop: string; place: 'Rack' | 'Stores' | 'Shop'; person: Person; keys?: boolean };
    let { shop, place, person, keys = $bindable(false) }: Props = $props();

    const PLACES = { Rack: '/', Stores: '/stores', Shop: '/shop' };
    let leaving = $state(false);

    async function signOut(): Promise<void> {
        await Promise.all([logQueue.flush(), photoQueue.flush()]);
        // What could not be sent stays here for its maker; that is said before they go.
        if (logQueue.waiting.length + photoQueue.waiting.length > 0 && !leaving) {
            leaving = true;
            return;
        }
        await send('POST', '/sign-out', null);
        router.visit('/sign-in');
    }
</script>

<header class="sheet mx-3 mt-3 flex flex-wrap items-center gap-x-4 gap-y-1 px-3 py-2">
    <img src="/mark.svg" alt="" width="28" height="28" class="rounded-[2px] bg-white p-0.5" />
    <h1 class="heading">{shop}</h1>
    <nav class="flex grow gap-1" aria-label="Shop">
        {#each Object.entries(PLACES) as [name, url] (name)}
            <a
                href={url}
                class="font-label flex min-h-[max(2.25rem,var(--tap))] items-center rounded-[2px] border px-3 text-lg font-semibold {name ===
                place
                    ? 'bg-wash border-action'
                    : 'hover:border-ink border-transparent'}"
                aria-current={name === place ? 'page' : undefined}>{name}</a
            >
        {/each}
    </nav>
    <QueueMark />
    <span class="text-quiet">{person.name}</span>
    <Button look="quiet" onclick={toggleTheme}>Light / bench</Button>
    <Button look="quiet" onclick={() => (keys = true)}>Keys <span class="key">?</span></Button>
    <Button look="quiet" onclick={signOut}>Sign out</Button>
</header>

<Dialog
    bind:open={leaving}
    title="Entries or photos of yours are not sent yet"
    text="They stay on this device and are sent when you sign in on it again. Nobody else’s session sends them."
>
    <div class="flex flex-wrap gap-2">
        <Button look="main" onclick={() => (leaving = false)}>Stay</Button>
        <Button onclick={signOut}>Sign out all the same</Button>
    </div>
</Dialog>
<KeysDialog bind:open={keys} />
