<script lang="ts">
    // Where tubes become one: collectors and branches, drawn as they are cut, with how they are made and their templates.
    import Button from '@/kit/button.svelte';
    import type { Triple } from '@/lib/answers';
    import Notices from '@/parts/notices.svelte';
    import Viewport from '@/parts/viewport/viewport.svelte';
    import type { StageProps } from '../job/stages';
    import AddBranch from './add-branch.svelte';
    import BranchPanel from './branch-panel.svelte';
    import CollectorPanel from './collector-panel.svelte';
    import FlangeDrawing from './flange-drawing.svelte';
    import FlangePanel from './flange-panel.svelte';
    import { buildCollector, crossed, nextLetter } from './edits';

    let { desk, catalogue, mayPlan }: StageProps = $props();

    let chosen = $state('');
    let isOpen = $state(false);
    let adding = $state(false);

    const merge = $derived(desk.plan.merge);
    const branchKey = (one: { letter: string; isStart: boolean }) =>
        `${one.letter} ${one.isStart ? 'start' : 'end'}`;
    const isKnown = (key: string) =>
        merge.branches.some((one) => branchKey(one) === key) || merge.flanges.some((one) => one.id === key);
    const collector = $derived(
        merge.collectors.find((one) => one.letter === chosen) ??
            (isKnown(chosen) ? undefined : merge.collectors[0]),
    );
    const branch = $derived(
        collector
            ? undefined
            : (merge.branches.find((one) => branchKey(one) === chosen) ??
                  (merge.flanges.some((one) => one.id === chosen) ? undefined : merge.branches[0])),
    );
    const flange = $derived(
        collector || branch
            ? undefined
            : (merge.flanges.find((one) => one.id === chosen) ?? merge.flanges[0]),
    );
    /** Collectors that are only surveyed so far. */
    const surveyed = $derived(
        (desk.document.set?.collectors ?? []).filter((one) => !one.build && one.runs.length > 1),
    );
    /** Through the axis of a collector, or through both axes at a branch. */
    const opening = $derived.by((): { at: Triple; normal: Triple } | null => {
        const frame = collector?.frame ?? branch?.foot;
        return isOpen && frame ? { at: frame.at, normal: crossed(frame.forward, frame.reference) } : null;
    });

    function choose(key: string): void {
        chosen = key;
        const [letter = ''] = key.split(' ');
        desk.choose(letter.replace(/\..*/, ''));
    }

    async function build(name: string | null): Promise<void> {
        const letter = nextLetter(desk.document);
        await desk.edit((document) => buildCollector(document, desk.plan, letter, name));
        choose(letter);
    }

    const tab = (isOn: boolean) =>
        `flex min-h-9 items-baseline gap-2 rounded-[2px] border px-3 py-1 ${isOn ? 'bg-wash border-action' : 'bg-sheet border-line hover:border-ink'}`;
</script>

<div class="flex flex-wrap items-center gap-1">
    <div class="flex flex-wrap gap-1" role="group" aria-label="Collectors, branches and flanges">
        {#each merge.collectors as one (one.letter)}
            <button
                type="button"
                class={tab(one === collector)}
                aria-pressed={one === collector}
                onclick={() => choose(one.letter)}
            >
                <span class="font-label text-lg font-semibold">{one.letter}</span>
                <span>{one.name}</span>
                {#if one.lack !== ''}<span class="text-stop font-label text-sm">✕</span>{/if}
            </button>
        {/each}
        {#each merge.branches as one (branchKey(one))}
            <button
                type="button"
                class={tab(one === branch)}
                aria-pressed={one === branch}
                onclick={() => choose(branchKey(one))}
            >
                <span class="font-label text-lg font-semibold">{one.letter}</span>
                <span>{one.isStart ? 'out of' : 'into'} {one.on}</span>
                {#if one.lack !== '' && one.cut.length === 0}<span class="text-stop font-label text-sm"
                        >✕</span
                    >{/if}
            </button>
        {/each}
        {#each merge.flanges as one (one.id)}
            <button
                type="button"
                class={tab(one === flange)}
                aria-pressed={one === flange}
                onclick={() => choose(one.id)}
            >
                <span class="font-label text-lg font-semibold">▭</span>
                <span>{one.name}</span>
                {#if one.guidance !== ''}<span class="font-label text-sm">△</span>{/if}
            </button>
        {/each}
    </div>
    {#if mayPlan}
        {#each surveyed as one (one.name)}
            <Button onclick={() => build(one.name)}>Make {one.name}</Button>
        {/each}
        <Button look="quiet" onclick={() => build(null)}>Add a collector</Button>
        {#if desk.plan.runs.some((run) => run.run)}
            <Button look="quiet" onclick={() => (adding = true)}>Add a branch</Button>
        {/if}
    {/if}
</div>

{#if flange}
    <div class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-[minmax(0,1fr)_31rem]">
        <div
            class="sheet flex min-h-[24rem] flex-col self-start max-lg:h-[26rem] lg:sticky lg:top-2 lg:h-[calc(100vh-10rem)]"
        >
            <FlangeDrawing {flange} />
        </div>
        <div class="flex min-w-0 flex-col gap-2">
            <FlangePanel {desk} {flange} {mayPlan} />
            <Notices
                notices={desk.plan.notices.filter((notice) =>
                    [`${flange.path}.bolts`, `${flange.path}.plate`].includes(notice.path),
                )}
            />
        </div>
    </div>
{:else if collector || branch}
    <div class="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-[minmax(0,1fr)_31rem]">
        <div
            class="sheet flex min-h-[24rem] flex-col self-start max-lg:h-[26rem] lg:sticky lg:top-2 lg:h-[calc(100vh-10rem)]"
        >
            <div class="border-line flex items-center justify-end border-b px-2 py-1">
                <Button
                    look={isOpen ? 'main' : 'plain'}
                    onclick={() => (isOpen = !isOpen)}
                    aria-pressed={isOpen}>{isOpen ? 'Close it' : 'Cut it open'}</Button
                >
            </div>
            <Viewport
                {desk}
                collector={collector?.letter ?? null}
                oncollector={choose}
                {opening}
                near={collector?.letter ?? branch?.letter ?? null}
            />
        </div>
        <div class="flex min-w-0 flex-col gap-2">
            {#if collector}
                <CollectorPanel {desk} {catalogue} {collector} {mayPlan} />
            {:else if branch}
                <BranchPanel {desk} {branch} {mayPlan} />
            {/if}
            <Notices
                notices={desk.plan.notices.filter((notice) =>
                    notice.path.startsWith(collector?.path ?? branch?.path ?? '-'),
                )}
            />
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
