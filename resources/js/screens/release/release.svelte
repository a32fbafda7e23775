<script lang="ts">
    // A draft looked over before it is released: what changes, what was made, what it takes, what is open; then a yes.
    import { router } from '@inertiajs/svelte';
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import type { LookOver } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { money } from '@/lib/money';
    import { much } from '@/lib/much';
    import MadeBefore from '@/parts/made-before.svelte';
    import Notices from '@/parts/notices.svelte';
    import type { StageProps } from '../job/stages';

    let { desk, mayPlan, onstage }: StageProps = $props();

    let seen = $state.raw<LookOver | null>(null);
    let failure = $state('');
    let isReleasing = $state(false);

    async function load(): Promise<void> {
        failure = '';
        const reply = await send('GET', `/jobs/${desk.view.id}/look-over`, 'LookOver');
        if (reply.ok) seen = reply.data;
        else failure = reply.message;
    }
    // What is stored is looked over; with every edit anew.
    $effect(() => {
        if (mayPlan && desk.revision.version && !desk.unsaved) untrack(() => void load());
    });

    const missing = $derived(seen?.goods.filter((one) => one.toBuy > 0) ?? []);
    const kept = $derived(seen?.goods.filter((one) => one.fromStores > 0) ?? []);
    const isReady = $derived(seen !== null && seen.problems.length === 0 && !desk.unsaved);

    async function release(): Promise<void> {
        isReleasing = true;
        if (await desk.release()) router.visit(`/jobs/${desk.view.id}/bench`);
        isReleasing = false;
    }
</script>

{#if !mayPlan}
    <section class="sheet p-4">
        <h2 class="heading">
            {desk.isDraft
                ? 'This draft is released by somebody who plans'
                : `Rev ${desk.revision.number} is released`}
        </h2>
        <p class="text-quiet mt-1">What was released stays as it is; a change makes the next revision.</p>
        <Button class="mt-3" onclick={() => onstage('bench')}>To the bench</Button>
    </section>
{:else}
    <section class="sheet flex flex-wrap items-center gap-x-6 gap-y-2 p-3" aria-label="Release">
        <div class="min-w-0 grow">
            <h2 class="heading">
                {seen?.since
                    ? `Rev ${desk.revision.number}, beside rev ${seen.since}`
                    : `Rev ${desk.revision.number}, the first`}
            </h2>
            <p class="text-quiet">
                {#if failure}<span class="text-stop" role="alert">✕ {failure}</span>
                {:else if !seen}Being looked over…
                {:else if seen.problems.length > 0}It cannot be made as it is: {seen.problems.length}
                    {seen.problems.length === 1 ? 'problem is' : 'problems are'} to be solved first.
                {:else}Once it is released it is frozen, and the bench works by it.{/if}
            </p>
        </div>
        {#if failure}<Button onclick={load}>Look again</Button>{/if}
        <Button look="main" disabled={!isReady || isReleasing} onclick={release}
            >Release rev {desk.revision.number}</Button
        >
    </section>
    {#if seen}
        {#if seen.made}<MadeBefore made={seen.made} open />{/if}
        <div class="grid grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-2">
            <div class="min-w-0 space-y-2">
                <section class="space-y-1" aria-label="Open">
                    {#if seen.problems.length + seen.cautions.length === 0}
                        <p class="sheet px-3 py-2">● No problem and no caution is open.</p>
                    {:else}
                        <Notices notices={[...seen.problems, ...seen.cautions]} />
                    {/if}
                </section>
                {#if seen.since}
                    <section class="sheet p-3" aria-label="What changes">
                        <h3 class="heading">What changes since rev {seen.since}</h3>
                        {#if seen.document.length + seen.pieces.length === 0}
                            <p class="text-quiet">Nothing yet.</p>
                        {/if}
                        <ul>
                            {#each seen.document as line (line)}<li>{line}</li>{/each}
                        </ul>
                        {#each seen.pieces as one (one.run)}
                            <h4 class="label mt-2">Pieces and joints of {one.run}</h4>
                            <ul class="figure text-[0.9rem]">
                                {#each one.lines as line (line)}<li>{line}</li>{/each}
                            </ul>
                        {/each}
                    </section>
                {/if}
            </div>
            <div class="min-w-0 space-y-2">
                <section class="sheet p-3" aria-label="To buy">
                    <h3 class="heading">
                        {missing.length === 0
                            ? '● Nothing is to be bought'
                            : `✕ To buy before it can be made`}
                    </h3>
                    {#if missing.length > 0}
                        <ul class="mt-1">
                            {#each missing as row, i (i)}
                                <li class="flex justify-between gap-3">
                                    <span>{row.name}</span><span class="figure shrink-0"
                                        >{much(row.toBuy)} {row.unit}</span
                                    >
                                </li>
                            {/each}
                        </ul>
                        {#if seen.cost > 0}
                            <p class="text-quiet mt-1 text-sm">
                                Together <b class="figure text-ink">{money(seen.cost)}</b>{seen.isPriced
                                    ? ''
                                    : ', without what has no price'}
                            </p>
                        {/if}
                    {/if}
                </section>
                <section class="sheet p-3" aria-label="Out of the stores">
                    <h3 class="heading">Put aside for it in the stores</h3>
                    {#if kept.length === 0}<p class="text-quiet">Nothing.</p>{/if}
                    <ul class="mt-1">
                        {#each kept as row, i (i)}
                            <li class="flex justify-between gap-3">
                                <span
                                    >{row.name}
                                    <span class="text-quiet text-sm">{row.location}</span></span
                                ><span class="figure shrink-0">{much(row.fromStores)} {row.unit}</span>
                            </li>
                        {/each}
                    </ul>
                </section>
            </div>
        </div>
    {/if}
{/if}
