<script lang="ts">
    import Button from '@/kit/button.svelte';
    import type { Answers, Insertion, RouteDocument, SearchDesign, TubeRun } from '@/lib/plan';
    import Notices from '@/parts/notices.svelte';
    import Ribbon from '@/parts/ribbon.svelte';
    import RunStrips from '@/parts/run-strips.svelte';
    import Viewport from '@/parts/viewport/viewport.svelte';
    import type { StageProps } from '../job/stages';
    import AnswersList from './answers-list.svelte';
    import FarEndBar from './far-end-bar.svelte';
    import LraTable from './lra-table.svelte';
    import SetChecks from './set-checks.svelte';
    import SetSearch from './set-search.svelte';

    let { desk, mayPlan }: StageProps = $props();

    const run = $derived(desk.run);
    let answers = $state.raw<Answers | null>(null);
    let searching = $state(false);
    let ghost = $state.raw<TubeRun | null>(null);
    let design = $state.raw<SearchDesign | null>(null);
    let showing = $state.raw<Insertion['order']>([]);
    const isSet = $derived(desk.plan.runs.length > 1);
    const ghosts = $derived(
        design
            ? design.runs.map(({ letter, run: way }) => ({ letter, run: way }))
            : ghost && run
              ? [{ letter: run.letter, run: ghost }]
              : [],
    );

    // Another run has other ways.
    $effect(() => {
        void run?.letter;
        answers = null;
        ghost = null;
    });

    async function find(): Promise<void> {
        if (!run) return;
        searching = true;
        answers = await desk.findWays(run.letter);
        searching = false;
    }

    function take(route: RouteDocument): void {
        ghost = null;
        answers = null;
        void desk.editRun((one) => (one.route = route));
    }
</script>

{#if run}
    {#if run.run}
        <Ribbon {run} selection={desk.selection} onselect={(picked) => (desk.selection = picked)} />
    {/if}
    {#if isSet && desk.plan.runs.some((one) => one.run)}
        <RunStrips {desk} />
    {/if}
    <div class="grid min-h-0 grow gap-2 lg:grid-cols-[1fr_29rem]">
        <div class="sheet flex min-h-[22rem] flex-col">
            {#if run.farEnd && run.run}
                <FarEndBar {desk} {run} {mayPlan} />
            {/if}
            <div class="min-h-0 grow">
                <Viewport {desk} {ghosts} {showing} />
            </div>
        </div>
        <div class="flex flex-col gap-2">
            {#if mayPlan && isSet}
                <SetSearch {desk} onpeek={(peeked) => (design = peeked)} />
            {/if}
            {#if mayPlan && !design}
                <div class="flex items-center gap-3">
                    <Button look={isSet ? 'plain' : 'main'} onclick={find} disabled={searching}
                        >{searching
                            ? 'Looking…'
                            : `${run.run ? 'Find other ways' : 'Find a way'}${isSet ? ` for ${run.letter} alone` : ''}`}</Button
                    >
                    {#if answers && run.run}
                        <Button look="quiet" onclick={() => ((answers = null), (ghost = null))}
                            >Back to the table</Button
                        >
                    {/if}
                </div>
            {/if}
            {#if design}
                <p class="text-quiet px-1">
                    The design is drawn beside what there is; take it or put it away.
                </p>
            {:else if answers}
                <AnswersList {answers} onpeek={(peek) => (ghost = peek)} ontake={take} />
            {:else if run.run}
                <LraTable {desk} {run} {mayPlan} />
            {:else}
                <div class="sheet p-4">
                    <p class="heading">No route yet</p>
                    <p class="text-quiet mt-1">
                        The ends are {run.ends.distance.text} apart and their axes turn {run.ends.turn.text}.
                        “Find a way” lists every route that can be built with up to two bends that are stocked
                        for this tube.
                    </p>
                </div>
            {/if}
            <SetChecks {desk} onshow={(insertion) => (showing = [...insertion.order])} />
            <Notices notices={desk.plan.notices} />
        </div>
    </div>
{:else}
    <p class="sheet p-6">This job has no run yet. Enter its two ends at Survey.</p>
{/if}
