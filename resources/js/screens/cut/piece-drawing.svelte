<script lang="ts">
    import type { Piece } from '@/lib/answers';
    import PieceOutline from '@/parts/piece-outline.svelte';

    type Props = { piece: Piece; odMm: number };
    let { piece, odMm }: Props = $props();

    const extra = $derived(
        [
            piece.longStart.value > 0 ? `${piece.longStart.text} extra upstream` : '',
            piece.longEnd.value > 0 ? `${piece.longEnd.text} extra downstream` : '',
        ]
            .filter((part) => part !== '')
            .join(', '),
    );
</script>

<section class="sheet p-3" aria-label="Drawing of piece {piece.mark}">
    <div class="flex items-baseline justify-between">
        <h2 class="heading">Piece {piece.mark}</h2>
        <span class="figure text-sm">{piece.stock}</span>
    </div>
    <div class="mt-2"><PieceOutline {piece} {odMm} /></div>
    <p class="label">flow from the left · solid: cuts · dashed: sand to here · dotted: tangent lines</p>
    <p class="mt-2 flex flex-wrap justify-between gap-x-4">
        <span
            >Cut <b class="figure">{piece.cutLength.text}</b>{#if piece.cutLength.exact}<span
                    class="text-quiet text-sm"
                >
                    , exactly <span class="figure">{piece.cutLength.exact}</span></span
                >{/if}</span
        >
        <span class="text-quiet"
            >ends up <span class="figure">{piece.length.text}</span>{extra ? `; ${extra}` : ''}</span
        >
    </p>
    <table class="table-plain mt-1 text-[0.9rem] [&_td]:px-1 [&_th]:px-1">
        <thead
            ><tr
                ><th>Where to cut</th><th class="num">Outer</th><th class="num">Centre</th><th class="num"
                    >Inner</th
                ></tr
            ></thead
        >
        <tbody>
            {#each piece.marks as mark, i (i)}
                <tr>
                    <td>{mark.label}</td>
                    {#if mark.kind === 'bend'}
                        <td class="figure num">{mark.outer.text}</td><td class="figure num"
                            >{mark.centre.text}</td
                        ><td class="figure num">{mark.inner.text}</td>
                    {:else if mark.kind === 'straight'}
                        <td class="figure num" colspan="3">{mark.centre.text} all round</td>
                    {:else}
                        <td class="num" colspan="3">{mark.kind === 'opening' ? '0' : '–'}</td>
                    {/if}
                </tr>
            {:else}
                <tr><td colspan="4">No stock to cut it from; see the marked field of its route.</td></tr>
            {/each}
        </tbody>
    </table>
    {#if piece.pie}
        <p class="mt-2">
            {piece.pie.welds - 1} wedges and two ends, every cut at
            <span class="figure">{piece.pie.mitre.text}</span>, the stick turned half round between cuts. Each
            wedge
            <span class="figure">{piece.pie.wedge.outer.text}</span> on its long side,
            <span class="figure">{piece.pie.wedge.inner.text}</span> on its short side.
        </p>
    {/if}
    <dl class="mt-2 space-y-0.5">
        {#if piece.clocking}
            <div class="flex justify-between gap-3">
                <dt class="text-quiet">Turn seen with the flow, from {piece.turnedFrom}</dt>
                <dd class="figure">
                    {piece.clocking.turn.text} = {piece.clocking.around.text}
                    {piece.clocking.way}
                </dd>
            </div>
        {/if}
        <div class="flex justify-between gap-3">
            <dt class="text-quiet">Upstream end</dt>
            <dd>{piece.startPrep}</dd>
        </div>
        <div class="flex justify-between gap-3">
            <dt class="text-quiet">Downstream end</dt>
            <dd>{piece.endPrep}</dd>
        </div>
    </dl>
    <p class="border-line text-quiet mt-3 border-t pt-2 text-sm">
        △ Saw and disc: eyes and ears covered, no loose gloves at the blade. Clamp round tube so that it
        cannot roll.
    </p>
</section>
