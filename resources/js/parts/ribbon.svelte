<script lang="ts">
    // A run unrolled to scale: the same strip on every stage, carrying that stage's facts.
    import type { Selection } from '@/lib/job-desk.svelte';
    import type { Joint, Piece, RunPlan } from '@/lib/answers';
    import { joinedByStation, pieceSpan, segmentSpans, span } from './ribbon';

    type Props = {
        run: RunPlan;
        selection?: Selection;
        onselect?: (selection: Selection) => void;
        pieceFact?: (piece: Piece) => string;
        jointFact?: (joint: Joint) => string;
        jointDone?: (joint: Joint) => boolean;
    };
    let { run, selection = null, onselect, pieceFact, jointFact, jointDone }: Props = $props();

    const length = $derived(run.run?.length.value ?? 0);
    const groups = $derived(joinedByStation(run.joints));
    const segments = $derived(segmentSpans(run));

    function factOf(id: string): string {
        const joint = run.joints.find((one) => one.id === id);
        const fact = joint ? jointFact?.(joint) : '';
        return fact ? ` ${fact}` : '';
    }
    const isOn = (kind: string, id: string) => selection?.kind === kind && selection.id === id;
    const shift = (station: number) => (station < 1 ? '0' : station > length - 1 ? '-100%' : '-50%');
</script>

{#if run.run}
    <section class="sheet px-3 pt-1 pb-2" aria-label="Run {run.letter} unrolled" data-to-scale>
        {#if run.fittings.length > 0}
            <div class="relative h-(--tap) max-sm:hidden">
                {#each run.fittings as fitting (fitting.joint)}
                    {@const place = span(fitting.station, fitting.station, length)}
                    <button
                        type="button"
                        class="figure absolute h-(--tap) -translate-x-1/2 border px-1.5 text-[0.78rem] {isOn(
                            'joint',
                            fitting.joint,
                        )
                            ? 'bg-action text-on-action border-action'
                            : 'bg-sheet border-strong hover:border-ink'}"
                        style:left="{place.left}%"
                        aria-pressed={isOn('joint', fitting.joint)}
                        title={fitting.label}
                        onclick={() => onselect?.({ kind: 'joint', id: fitting.joint })}
                        >◇ {fitting.joint}{factOf(fitting.joint)}</button
                    >
                {/each}
            </div>
        {/if}
        <div class="relative h-(--tap) max-sm:hidden">
            {#each groups as group (group.station)}
                <div
                    class="absolute flex gap-px"
                    style:left="{span(group.station, group.station, length).left}%"
                    style:transform="translateX({shift(group.station)})"
                >
                    {#each group.joints as joint (joint.id)}
                        <button
                            type="button"
                            class="figure h-(--tap) border px-1.5 text-[0.78rem] leading-5 {isOn(
                                'joint',
                                joint.id,
                            )
                                ? 'bg-action text-on-action border-action'
                                : 'border-strong bg-sheet hover:border-ink'}"
                            aria-pressed={isOn('joint', joint.id)}
                            title="{joint.typeLabel}, {joint.between} to {joint.and}"
                            onclick={() => onselect?.({ kind: 'joint', id: joint.id })}
                            >{jointDone?.(joint) ? '✓' : ''}{joint.id}{jointFact?.(joint)
                                ? ` ${jointFact(joint)}`
                                : ''}</button
                        >
                    {/each}
                </div>
            {/each}
        </div>
        <div class="border-strong relative h-[calc(var(--tap)+4px)] border-y">
            {#each segments as { segment, span: place, text, long } (segment.from)}
                {#if segment.bend === null}
                    <span
                        class="bg-tube absolute inset-y-0"
                        style:left="{place.left}%"
                        style:width="{place.width}%"
                    ></span>
                {:else}
                    <button
                        type="button"
                        class="figure bg-bend text-ink absolute inset-y-0 overflow-hidden text-[0.78rem] {isOn(
                            'bend',
                            String(segment.bend),
                        )
                            ? 'outline-action z-10 outline-2'
                            : ''}"
                        style:left="{place.left}%"
                        style:width="{place.width}%"
                        title={long}
                        aria-label={long}
                        aria-pressed={isOn('bend', String(segment.bend))}
                        onclick={() => onselect?.({ kind: 'bend', id: String(segment.bend) })}>{text}</button
                    >
                {/if}
            {/each}
            {#each run.fittings as fitting (fitting.joint)}
                <span
                    class="bg-ink absolute top-0 h-2 w-[3px] -translate-x-1/2"
                    style:left="{span(fitting.station, fitting.station, length).left}%"
                ></span>
            {/each}
            {#each groups.filter((group) => group.station > 1 && group.station < length - 1) as group (group.station)}
                <span
                    class="bg-ink absolute inset-y-0 w-px"
                    style:left="{span(group.station, group.station, length).left}%"
                ></span>
            {/each}
        </div>
        <div class="relative h-(--tap) max-sm:hidden">
            {#each run.pieces as piece (piece.mark)}
                <button
                    type="button"
                    class="absolute inset-y-0 min-w-0 overflow-hidden border-x text-left text-[0.85rem] whitespace-nowrap {isOn(
                        'piece',
                        piece.mark,
                    )
                        ? 'bg-wash border-action'
                        : 'border-line hover:bg-wash'}"
                    style:left="{pieceSpan(piece, run).left}%"
                    style:width="{pieceSpan(piece, run).width}%"
                    aria-pressed={isOn('piece', piece.mark)}
                    onclick={() => onselect?.({ kind: 'piece', id: piece.mark })}
                >
                    <span class="font-label px-1 font-semibold">{piece.mark}</span><span
                        class="figure text-quiet text-[0.78rem]"
                        >{pieceFact?.(piece) ?? piece.length.text}</span
                    >
                </button>
            {/each}
            {#if run.pieces.length === 0}
                <p class="text-quiet pt-0.5 text-sm">
                    No pieces yet: every bend has to be one that is stocked.
                </p>
            {/if}
        </div>
    </section>
{/if}
