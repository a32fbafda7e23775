<script lang="ts">
    import { tick, untrack } from 'svelte';
    import { router } from '@inertiajs/svelte';
    import Button from '@/kit/button.svelte';
    import { onKeys } from '@/lib/keys';
    import { toggleTheme } from '@/lib/theme.svelte';
    import ShopHead from '@/parts/shop-head.svelte';
    import Bottles from './bottles.svelte';
    import JobRow from './job-row.svelte';
    import NewJob from './new-job.svelte';
    import type { Bottle, Person, RackJob, RackPage } from '@/lib/answers';

    type Props = {
        shop: string;
        find: string;
        rack: RackPage;
        atBench: RackJob | null;
        numbers: string[];
        bottles: Bottle[];
        person: Person;
    };
    let { shop, find, rack, atBench, numbers, bottles, person }: Props = $props();

    const TYPING_MS = 250;

    let words = $state(untrack(() => find));
    let finder: HTMLInputElement | undefined = $state();
    let keys = $state(false);
    let creating = $state(false);
    let timer: ReturnType<typeof setTimeout> | undefined;

    const groups = $derived(
        rack.groups
            .map(({ group, jobs }) => ({
                group,
                count: jobs,
                jobs: rack.jobs.filter((job) => job.next.group === group),
            }))
            .filter(({ jobs }) => jobs.length > 0),
    );

    let askedAt = $state(0);
    /** Remembers when an answer was asked for, once it is here. */
    function asked(): () => void {
        const at = performance.now();
        return () => (askedAt = at);
    }

    // What is being worked out apart is there in a moment.
    const AGAIN_MS = 1500;
    let looksLeft = 5;
    $effect(() => {
        if (!rack.isBehind || looksLeft === 0) return;
        looksLeft--;
        const again = setTimeout(
            () => router.reload({ only: ['rack', 'atBench', 'bottles'], onSuccess: asked() }),
            AGAIN_MS,
        );
        return () => clearTimeout(again);
    });

    /** Enter opens the first that is found, once the search has caught up with what is typed; Esc empties it. */
    function pressed(event: KeyboardEvent): void {
        if (event.key === 'Enter') look(1, open);
        if (event.key === 'Escape' && words !== '') {
            words = '';
            look(1);
        }
    }

    function open(): void {
        const first = groups[0]?.jobs[0];
        if (words.trim() !== '' && first && !first.fault)
            router.visit(`/jobs/${first.id}/${first.next.stage}`);
    }

    function look(page: number, then?: () => void): void {
        clearTimeout(timer);
        const data = { ...(words.trim() ? { find: words.trim() } : {}), ...(page > 1 ? { page } : {}) };
        router.get('/', data, {
            only: ['rack', 'find', 'bottles'],
            onSuccess: after(then),
            preserveState: true,
            preserveScroll: page === rack.page,
            replace: true,
        });
    }

    function after(then?: () => void): () => void {
        const noted = asked();
        return () => {
            noted();
            // What was found is drawn first.
            void tick().then(then);
        };
    }

    function typed(): void {
        clearTimeout(timer);
        timer = setTimeout(() => look(1), TYPING_MS);
    }
</script>

<svelte:head><title>Rack · Upswept Bead</title></svelte:head>
<svelte:window onkeydown={onKeys({ '/': () => finder?.focus(), '?': () => (keys = true), t: toggleTheme })} />

<ShopHead {shop} place="Rack" {person} bind:keys />

<main class="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 lg:grid-cols-[minmax(0,1fr)_19rem]">
    <section class="space-y-4" aria-label="Jobs by what is next">
        <div class="flex items-end gap-3">
            <div class="grow">
                <label class="label block" for="find">Find a job <span class="key">/</span></label>
                <input
                    id="find"
                    bind:this={finder}
                    bind:value={words}
                    oninput={typed}
                    onkeydown={pressed}
                    class="bg-sheet border-strong w-full max-w-md rounded-[2px] border px-2 py-1"
                />
            </div>
            {#if person.plans}
                <div class="flex gap-2">
                    <Button href="/small">Small job</Button>
                    <Button onclick={() => (creating = true)}>New job</Button>
                </div>
            {/if}
        </div>
        {#each groups as { group, count, jobs: rows } (group)}
            <div>
                <h2 class="heading mb-1 first-letter:uppercase">
                    {group}
                    <span class="figure text-quiet text-sm"
                        >{rows.length === count ? count : `${rows.length} of ${count}`}</span
                    >
                </h2>
                <ul class="sheet divide-line divide-y">
                    {#each rows as job (job.id)}
                        <JobRow {job} mayDelete={person.plans} />
                    {/each}
                </ul>
            </div>
        {:else}
            <div class="sheet p-6">
                {#if find === ''}
                    <p class="heading">No jobs yet</p>
                    <p class="text-quiet mt-1">
                        Begin with a survey: two ends, the metal and the tube. The rest is computed.
                    </p>
                {:else}
                    <p>No job has “{find}” in its number, title, vehicle or customer.</p>
                {/if}
            </div>
        {/each}
        {#if rack.pages > 1}
            <nav class="flex items-center gap-3" aria-label="Pages of the rack">
                <Button disabled={rack.page === 1} onclick={() => look(rack.page - 1)}>← Before</Button>
                <p class="text-quiet">
                    Page <span class="figure">{rack.page}</span> of <span class="figure">{rack.pages}</span>,
                    <span class="figure">{rack.total}</span> jobs
                </p>
                <Button disabled={rack.page === rack.pages} onclick={() => look(rack.page + 1)}
                    >After →</Button
                >
            </nav>
        {/if}
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
        <Bottles {bottles} {askedAt} isReader={person.logs} isOwner={person.role === 'owner'} />
    </aside>
</main>

<NewJob bind:open={creating} {numbers} />
