<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import { send } from '@/lib/http';
    import { logQueue } from '@/lib/log-queue';
    import { onKeys } from '@/lib/keys';
    import { toggleTheme } from '@/lib/theme.svelte';
    import QueueMark from '@/parts/log-queue/queue-mark.svelte';
    import KeysDialog from '@/parts/keys-dialog.svelte';
    import Bottles from './bottles.svelte';
    import JobRow from './job-row.svelte';
    import NewJob from './new-job.svelte';
    import type { Bottle, RackJob } from '@/lib/answers';

    type Props = {
        shop: string;
        jobs: RackJob[];
        bottles: Bottle[];
        person: { name: string; plans: boolean };
    };
    let { shop, jobs, bottles, person }: Props = $props();

    let find = $state('');
    let finder: HTMLInputElement | undefined = $state();
    let keys = $state(false);
    let creating = $state(false);

    const matches = $derived(
        jobs.filter((job) =>
            `${job.number} ${job.title} ${job.vehicle} ${job.customer} ${job.next.group}`
                .toLowerCase()
                .includes(find.trim().toLowerCase()),
        ),
    );
    const groups = $derived(
        [...new Set(matches.map((job) => job.next.group))].map((group) => ({
            group,
            jobs: matches.filter((job) => job.next.group === group),
        })),
    );
    const atBench = $derived(jobs.find((job) => job.next.stage === 'bench'));

    let leaving = $state(false);

    async function signOut(): Promise<void> {
        await logQueue.flush();
        // What could not be sent stays here for its maker; that is said before they go.
        if (logQueue.waiting.length > 0 && !leaving) {
            leaving = true;
            return;
        }
        await send('POST', '/sign-out', null);
        router.visit('/sign-in');
    }
</script>

<svelte:head><title>Rack · Upswept Bead</title></svelte:head>
<svelte:window onkeydown={onKeys({ '/': () => finder?.focus(), '?': () => (keys = true), t: toggleTheme })} />

<header class="sheet mx-3 mt-3 flex items-center gap-4 px-3 py-2">
    <img src="/mark.svg" alt="" width="28" height="28" class="rounded-[2px] bg-white p-0.5" />
    <h1 class="heading">{shop}</h1>
    <span class="text-quiet grow">Rack</span>
    <QueueMark />
    <span class="text-quiet">{person.name}</span>
    <Button look="quiet" onclick={toggleTheme}>Light / bench</Button>
    <Button look="quiet" onclick={() => (keys = true)}>Keys <span class="key">?</span></Button>
    <Button look="quiet" onclick={signOut}>Sign out</Button>
</header>

<main class="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 lg:grid-cols-[minmax(0,1fr)_19rem]">
    <section class="space-y-4" aria-label="Jobs by what is next">
        <div class="flex items-end gap-3">
            <div class="grow">
                <label class="label block" for="find">Find a job <span class="key">/</span></label>
                <input
                    id="find"
                    bind:this={finder}
                    bind:value={find}
                    class="bg-sheet border-strong w-full max-w-md rounded-[2px] border px-2 py-1"
                />
            </div>
            {#if person.plans}
                <Button onclick={() => (creating = true)}>New job</Button>
            {/if}
        </div>
        {#each groups as { group, jobs: rows } (group)}
            <div>
                <h2 class="heading mb-1 first-letter:uppercase">
                    {group} <span class="figure text-quiet text-sm">{rows.length}</span>
                </h2>
                <ul class="sheet divide-line divide-y">
                    {#each rows as job (job.id)}
                        <JobRow {job} />
                    {/each}
                </ul>
            </div>
        {:else}
            <div class="sheet p-6">
                {#if jobs.length === 0}
                    <p class="heading">No jobs yet</p>
                    <p class="text-quiet mt-1">
                        Begin with a survey: two ends, the metal and the tube. The rest is computed.
                    </p>
                {:else}
                    <p>No job has “{find}” in its number, title, vehicle or customer.</p>
                {/if}
            </div>
        {/each}
    </section>
    <aside class="space-y-3">
        <section class="sheet p-3">
            <h2 class="heading">Today’s bench</h2>
            {#if atBench}
                <p class="mt-1">{atBench.next.text}</p>
                <p class="text-quiet figure text-sm">
                    {atBench.number} · step {atBench.stepsDone + 1} of {atBench.steps}
                </p>
                <a
                    href="/jobs/{atBench.id}/bench"
                    class="bg-action text-on-action font-label mt-3 block rounded-[2px] px-3 py-3 text-center text-lg font-semibold"
                    >Go to the bench</a
                >
            {:else}
                <p class="text-quiet mt-1">
                    Nothing is released for the bench. Release a plan and its first step stands here.
                </p>
            {/if}
        </section>
        <Bottles {bottles} />
    </aside>
</main>

<Dialog
    bind:open={leaving}
    title="Entries of yours are not sent yet"
    text="They stay on this device and are sent when you sign in on it again. Nobody else’s session sends them."
>
    <div class="flex flex-wrap gap-2">
        <Button look="main" onclick={() => (leaving = false)}>Stay</Button>
        <Button onclick={signOut}>Sign out all the same</Button>
    </div>
</Dialog>
<KeysDialog bind:open={keys} />
<NewJob bind:open={creating} numbers={jobs.map((job) => job.number)} />
