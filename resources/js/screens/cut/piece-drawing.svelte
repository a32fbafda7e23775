<script lang="ts">
    import type { Piece } from '@/lib/answers';
    import { outline } from './piece-outline';

    type Props = { piece: Piece; odMm: number };
    let { piece, odMm }: Props = $props();

    const shape = $derived(
        outline({
            before: piece.legBefore.value,
            after: piece.legAfter.value,
            straight: piece.pie
                ? piece.cutLength.value - piece.longStart.value - piece.longEnd.value
                : piece.length.value,
            clr: piece.isBend ? piece.clr.value : 0,
            angle: piece.angle.value,
            od: odMm,
            longStart: piece.longStart.value,
            longEnd: piece.longEnd.value,
            backStart: piece.backStart,
            backEnd: piece.backEnd,
        }),
    );
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
    <svg
        viewBox={shape.box}
        class="mt-2 max-h-64 w-full"
        role="img"
        aria-label="Outline of {piece.mark}, flow from the left"
    >
        <polygon points={shape.edge} fill="var(--tube)" stroke="var(--ink)" stroke-width={shape.unit * 0.5} />
        <polyline
            points={shape.centre}
            fill="none"
            stroke="var(--quiet)"
            stroke-width={shape.unit * 0.35}
            stroke-dasharray="{shape.unit * 4} {shape.unit} {shape.unit * 0.7} {shape.unit}"
        />
        {#each shape.tangents as [from, to], i (i)}
            <line
                x1={from.x}
                y1={from.y}
                x2={to.x}
                y2={to.y}
                stroke="var(--quiet)"
                stroke-width={shape.unit * 0.4}
                stroke-dasharray="{shape.unit} {shape.unit}"
            />
        {/each}
        {#each shape.finished as [from, to], i (i)}
            <line
                x1={from.x}
                y1={from.y}
                x2={to.x}
                y2={to.y}
                stroke="var(--ink)"
                stroke-width={shape.unit * 0.6}
                stroke-dasharray="{shape.unit * 2.4} {shape.unit * 1.2}"
            />
        {/each}
        {#each shape.cuts as line, i (i)}
            <polyline
                points={line.map(({ x, y }) => `${x},${y}`).join(' ')}
                fill="none"
                stroke="var(--action)"
                stroke-width={shape.unit * 1.1}
            />
        {/each}
    </svg>
    <p class="label">flow from the left · solid: cuts · dashed: sand to here · dotted: tangent lines</p>
    <p class="mt-2 flex flex-wrap justify-between gap-x-4">
        <span>Cut <b class="figure">{piece.cutLength.text}</b></span>
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
            {#each piece.marks as mark (mark.label)}
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
                <dt class="text-quiet">Turn from {piece.turnedFrom}</dt>
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
