<script lang="ts">
    // Where tubes become one: collectors, branches, slanted ends and flanges, drawn as they are cut, with their templates.
    import Button from '@/kit/button.svelte';
    import type { Triple } from '@/lib/answers';
    import Notices from '@/parts/notices.svelte';
    import Viewport from '@/parts/viewport/viewport.svelte';
    import type { StageProps } from '../job/stages';
    import AddBranch from './add-branch.svelte';
    import BranchPanel from './branch-panel.svelte';
    import CollectorPanel from './collector-panel.svelte';
    import { buildCollector, crossed, nextLetter, openEnds } from './edits';
    import FlangeDrawing from './flange-drawing.svelte';
    import FlangePanel from './flange-panel.svelte';
    import { itemsOf } from './items';
    import SlantPanel from './slant-panel.svelte';

    let { desk, catalogue, mayPlan }: StageProps = $props();

    let chosen = $state('');
    let isOpen = $state(false);
    let adding = $state(false);

    const items = $derived(itemsOf(desk.plan.merge));
    const item = $derived(items.find((one) => one.key === chosen) ?? items[0]);
    /** Collectors that are only surveyed so far. */
    const surveyed = $derived(
        (desk.document.set?.collectors ?? []).filter((one) => !one.build && one.runs.length > 1),
    );
    /** Through the axis of a collector, or through both axes at a branch. */
    const opening = $derived.by((): { at: Triple; normal: Triple } | null => {
        const frame =
            item?.kind === 'collector' ? item.one.frame : item?.kind === 'branch' ? item.one.foot : null;
        return isOpen && frame ? { at: frame.at, normal: crossed(frame.forward, frame.reference) } : null;
    });
    const notices = $derived(
        desk.plan.notices.filter((notice) =>
            item?.kind === 'flange'
                ? [`${item.path}.bolts`, `${item.path}.plate`].includes(notice.path)
                : item !== undefined && notice.path.startsWith(item.path),
        ),
    );

    function choose(key: string): void {
        chosen = key;
        desk.choose(/^[A-Z]+/.exec(key)?.[0] ?? '');
    }

    async function build(name: string | null): Promise<void> {
        const letter = nextLetter(desk.document);
        await desk.edit((document) => buildCollector(document, desk.plan, letter, name));
        choose(letter);
    }

    async function slant(letter: string): Promise<void> {
        await desk.edit((document) => {
            const run = document.runs.find((one) => one.letter === letter);
            if (run) run.end.slant = { angle: 20, turn: 0 };
        });
        choose(`${letter} end slant`);
    }
</script>

<div class="flex flex-wrap items-center gap-1">
    <div class="flex flex-wrap gap-1" role="group" aria-label="Collectors, branches and flanges">
        {#each items as one (one.key)}
            <button
                type="button"
                class="flex min-h-9 items-baseline gap-2 rounded-[2px] border px-3 py-1 {one === item
                    ? 'bg-wash border-action'
                    : 'bg-sheet border-line hover:border-ink'}"
                aria-pressed={one === item}
                onclick={() => choose(one.key)}
            >
                <span class="font-label text-lg font-semibold">{one.mark}</span>
                <span>{one.text}</span>
                {#if one.isBroken}<span class="text-stop font-label text-sm">✕</span>{/if}
            </button>
        {/each}
    </div>
    {#if mayPlan}
        {#each surveyed as one, i (i)}
            <Button onclick={() => build(one.name)}>Make {one.name}</Button>
        {/each}
        <Button look="quiet" onclick={() => build(null)}>Add a collector</Button>
        {#if desk.plan.runs.some((run) => run.run)}
            <Button look="quiet" onclick={() => (adding = true)}>Add a branch</Button>
        {/if}
        {#each openEnds(desk.document) as letter (letter)}
            <Button look="quiet" onclick={() => slant(letter)}>Cut the end of {letter} at an angle</Button>
        {/each}
    {/if}
</div>

{#if item}
    <div class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-[minmax(0,1fr)_31rem]">
        <div
            class="sheet flex min-h-[24rem] flex-col self-start max-lg:h-[26rem] lg:sticky lg:top-2 lg:h-[calc(100vh-10rem)]"
        >
            {#if item.kind === 'flange'}
                <FlangeDrawing flange={item.one} />
            {:else}
                {#if item.kind !== 'slant'}
                    <div class="border-line flex items-center justify-end border-b px-2 py-1">
                        <Button
                            look={isOpen ? 'main' : 'plain'}
                            onclick={() => (isOpen = !isOpen)}
                            aria-pressed={isOpen}>{isOpen ? 'Close it' : 'Cut it open'}</Button
                        >
                    </div>
                {/if}
                <Viewport
                    {desk}
                    collector={item.kind === 'collector' ? item.one.letter : null}
                    oncollector={choose}
                    {opening}
                    near={item.one.letter}
                />
            {/if}
        </div>
        <div class="flex min-w-0 flex-col gap-2">
            {#if item.kind === 'collector'}
                <CollectorPanel {desk} {catalogue} collector={item.one} {mayPlan} />
            {:else if item.kind === 'branch'}
                <BranchPanel {desk} branch={item.one} {mayPlan} />
            {:else if item.kind === 'slant'}
                <SlantPanel {desk} slant={item.one} {mayPlan} />
            {:else}
                <FlangePanel {desk} flange={item.one} {mayPlan} />
            {/if}
            <Notices {notices} />
        </div>
    </div>
{:else}
    <section class="sheet max-w-3xl p-6" aria-label="Nothing merges yet">
        <p class="heading">Nothing merges in this job yet</p>
        <p class="text-quiet mt-1">
            A collector joins two to six tubes: from straight tube, merge bends or quarters of pipe, or
            bought. Its inlets are where the runs go to. A branch stands on the side of a run, as a
            wastegate’s take-off does.
        </p>
    </section>
{/if}
<AddBranch {desk} {catalogue} bind:open={adding} onadded={choose} />
