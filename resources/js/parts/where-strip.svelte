<script lang="ts">
    // Where on its run a joint or a piece is, at a glance: the run unrolled to scale, with that one marked.
    import type { Joint, RunPlan } from '@/lib/answers';
    import { joinedByStation, ON_SIDE, pieceSpan, span } from './ribbon';

    type Props = { run: RunPlan; joint: Joint | undefined; piece: string };
    let { run, joint, piece }: Props = $props();

    const length = $derived(run.run?.length.value ?? 1);
    const at = (mm: number) => span(mm, mm, length).left;
    const marked = $derived(joint ? at(joint.station) : null);
</script>

<div
    class="relative h-11"
    role="img"
    aria-label="{joint?.id ?? piece} on run {run.letter}, with the flow from the left"
    data-to-scale
>
    {#each run.pieces as one (one.mark)}
        {@const place = pieceSpan(one, run)}
        <div
            class="border-ink absolute top-5 h-4 overflow-hidden border text-center text-[0.72rem] leading-4 {one.mark ===
            piece
                ? 'bg-action text-on-action'
                : 'bg-tube'}"
            style:left="{place.left}%"
            style:width="{place.width}%"
        >
            {one.mark}
        </div>
    {/each}
    {#each joinedByStation(run.joints) as group (group.station)}
        <div class="bg-ink absolute top-4 h-6 w-px" style:left="{at(group.station)}%"></div>
    {/each}
    {#if joint && marked !== null}
        <span
            class="figure bg-action text-on-action absolute top-0 px-1 text-[0.85rem] leading-4 whitespace-nowrap"
            style:left="{marked}%"
            style:transform="translateX(-{marked}%)"
            >{ON_SIDE.includes(joint.type) ? '◇ ' : ''}{joint.id}</span
        >
        <div class="bg-action absolute top-4 h-6 w-1 -translate-x-1/2" style:left="{marked}%"></div>
    {/if}
</div>
