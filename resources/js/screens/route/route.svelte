<script lang="ts">
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import { newest } from '@/lib/newest';
    import type { FoundDesign, Insertion, RouteDocument, Triple, TubeRun, Ways } from '@/lib/answers';
    import Notices from '@/parts/notices.svelte';
    import Ribbon from '@/parts/ribbon.svelte';
    import RunStrips from '@/parts/run-strips.svelte';
    import type { Grip } from '@/parts/viewport/handles';
    import Viewport from '@/parts/viewport/viewport.svelte';
    import type { StageProps } from '../job/stages';
    import AnswersList from './answers-list.svelte';
    import FarEndBar from './far-end-bar.svelte';
    import GrowPanel from './grow-panel.svelte';
    import KeptDesigns from './kept-designs.svelte';
    import LraTable from './lra-table.svelte';
    import MockUpDialog from './mock-up-dialog.svelte';
    import RoutesDialog from './routes-dialog.svelte';
    import RoutingOptions from './routing-options.svelte';
    import SetChecks from './set-checks.svelte';
    import SetSearch from './set-search.svelte';

    let { desk, catalogue, mayPlan }: StageProps = $props();

    const run = $derived(desk.run);
    let answers = $state.raw<Ways | null>(null);
    let searching = $state(false);
    let designer = $state<SetSearch>();
    let bringing = $state(false);
    let mocking = $state(false);
    let ghost = $state.raw<TubeRun | null>(null);
    let design = $state.raw<FoundDesign | null>(null);
    let showing = $state.raw<Insertion['order']>([]);
    /** It ends where its pieces end: nothing is looked for, it grows. */
    const isFree = $derived(desk.entered?.end.free ?? false);
    const isSet = $derived(desk.plan.runs.length > 1);
    const ghosts = $derived(
        design
            ? design.runs.map(({ letter, run: way }) => ({ letter, run: way }))
            : ghost && run
              ? [{ letter: run.letter, run: ghost }]
              : [],
    );

    /** A design that is looked at has a route for every run, so none is missing. */
    const notices = $derived(
        desk.plan.notices.filter(
            ({ path }) =>
                !design || !desk.plan.runs.some((one, i) => !one.run && path === `runs[${i}].route`),
        ),
    );

    // Another run has other ways.
    $effect(() => {
        void run?.letter;
        answers = null;
        ghost = null;
    });

    /** The vertex of the chosen bend; the first and the last move on the axes of the ends only. */
    const grip = $derived.by((): Grip | null => {
        const shape = run?.run;
        if (!shape || desk.selection?.kind !== 'bend' || design) return null;
        const index = Number(desk.selection.id);
        const at = shape.vertices[index];
        const isOnly = shape.vertices.length === 1;
        if (!at || isOnly) return null;
        const along =
            index === 0
                ? run.start.frame.forward
                : index === shape.vertices.length - 1
                  ? run.target.frame.forward
                  : null;
        return { key: `${run.letter}.${index}`, at, along };
    });
    const drag = newest((wish: { index: number; to: Triple }) =>
        desk.byHand({ do: 'vertex', ...wish }, false),
    );

    function ondrag(key: string, to: Triple, isDone: boolean): void {
        const index = Number(key.split('.')[1]);
        if (!isDone) void drag({ index, to });
        else void desk.byHand({ do: 'vertex', index, to }, true);
    }

    /** What the job's plate asked for: ways for what has none, or the list of what is wrong. */
    $effect(() => {
        const bidden = desk.bidden;
        if (bidden === '') return;
        untrack(() => {
            desk.bidden = '';
            if (bidden !== 'needs a route') {
                document.querySelector('[data-notices]')?.scrollIntoView({ block: 'center' });
                return;
            }
            const open = desk.plan.runs.filter((one) => !one.run);
            if (!mayPlan || searching || isFree) return;
            if (open.length > 1) void designer?.find();
            else if (open[0]) {
                desk.index = desk.plan.runs.indexOf(open[0]);
                void find();
            }
        });
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
    <div class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-[minmax(0,1fr)_31rem]">
        <div
            class="flex min-h-[30rem] flex-col gap-2 self-start lg:sticky lg:top-2 lg:h-[calc(100vh-7.5rem)]"
        >
            <div class="sheet flex min-h-[20rem] grow flex-col">
                {#if run.farEnd && run.run}
                    <FarEndBar {desk} {run} {mayPlan} />
                {/if}
                <div class="flex min-h-0 grow flex-col">
                    <Viewport
                        {desk}
                        {ghosts}
                        {showing}
                        grip={mayPlan && !isFree ? grip : null}
                        grown={isFree ? run.pieces.length : 0}
                        {ondrag}
                    />
                </div>
            </div>
            {#if isSet && desk.plan.runs.some((one) => one.run)}
                <RunStrips {desk} />
            {/if}
            {#if run.run}
                <Ribbon {run} selection={desk.selection} onselect={(picked) => (desk.selection = picked)} />
            {/if}
        </div>
        <div class="flex flex-col gap-2">
            {#if mayPlan && isSet}
                <SetSearch bind:this={designer} {desk} onpeek={(peeked) => (design = peeked)} />
            {/if}
            {#if mayPlan && isFree && !design}
                <GrowPanel {desk} {run} {catalogue} />
                {#if !run.run}
                    <Button class="self-start" look="quiet" onclick={() => (mocking = true)}
                        >From a mock-up</Button
                    >
                {/if}
            {:else if mayPlan && !design}
                <KeptDesigns {desk} />
                <RoutingOptions {desk} />
                <div class="flex flex-wrap items-center gap-3">
                    <Button look={isSet ? 'plain' : 'main'} onclick={find} disabled={searching}
                        >{searching
                            ? 'Looking…'
                            : `${run.run ? 'Find other ways' : 'Find a way'}${isSet ? ` for ${run.letter} alone` : ''}`}</Button
                    >
                    <Button look="quiet" onclick={() => (bringing = true)}>Bring in routes</Button>
                    <Button look="quiet" onclick={() => (mocking = true)}>From a mock-up</Button>
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
            {:else if !isFree}
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
            <div data-notices><Notices {notices} /></div>
        </div>
    </div>
    <RoutesDialog {desk} bind:open={bringing} />
    <MockUpDialog {desk} bind:open={mocking} />
{:else}
    <p class="sheet p-6">This job has no run yet. Enter its two ends at Survey.</p>
{/if}
