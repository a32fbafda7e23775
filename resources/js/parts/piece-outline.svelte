<script lang="ts">
    // A piece as it is cut, flat, with the marks to saw by where they are asked for.
    import type { Piece } from '@/lib/answers';
    import { LETTERS, outline, viewBox, type Label } from './piece-outline';

    type Props = { piece: Piece; odMm: number; marked?: boolean };
    let { piece, odMm, marked = false }: Props = $props();

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

    /** What is measured to each cut: on a bend along its outer edge, its middle and its inner edge, else once. */
    const labels = $derived.by<Label[]>(() => {
        if (!marked) return [];
        const found: Label[] = [];
        piece.marks.forEach((mark, i) => {
            if (mark.kind !== 'bend' && mark.kind !== 'straight') return;
            const isLast = i === piece.marks.length - 1;
            const cut = shape.cuts[isLast ? 1 : 0];
            const [from, to] = [cut?.[0], cut?.at(-1)];
            if (!from || !to) return;
            const long = Math.hypot(from.x - to.x, from.y - to.y) || 1;
            const out = { x: (from.x - to.x) / long, y: (from.y - to.y) / long };
            // Away from the piece: with the flow at its downstream end, against it at the other.
            const way = isLast ? 1 : -1;
            const off = { x: -out.y * way, y: out.x * way };
            const anchor = off.x > 0.4 ? 'start' : off.x < -0.4 ? 'end' : 'middle';
            const middle = {
                x: (from.x + to.x) / 2 + 3 * shape.unit * off.x,
                y: (from.y + to.y) / 2 + (2.4 + 5 * off.y) * shape.unit,
            };
            if (mark.kind === 'straight' || mark.outer.text === mark.inner.text) {
                found.push({ key: `${i}`, text: mark.centre.text, ...middle, anchor });
                return;
            }
            const beyond = (at: { x: number; y: number }, out: { x: number; y: number }) => ({
                x: at.x + (2 * out.x + 3 * off.x) * shape.unit,
                y: at.y + (3 * out.y + 5 * off.y + 2.4) * shape.unit,
            });
            found.push(
                { key: `${i}o`, text: `outer ${mark.outer.text}`, ...beyond(from, out), anchor },
                { key: `${i}c`, text: mark.centre.text, ...middle, anchor },
                {
                    key: `${i}i`,
                    text: `inner ${mark.inner.text}`,
                    ...beyond(to, { x: -out.x, y: -out.y }),
                    anchor,
                },
            );
        });
        return found;
    });
</script>

<svg
    viewBox={viewBox(shape, labels)}
    class="w-full {marked ? 'max-h-96' : 'max-h-64'}"
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
    {#each labels as label (label.key)}
        <text
            x={label.x}
            y={label.y}
            text-anchor={label.anchor}
            font-size={shape.unit * LETTERS}
            fill="var(--ink)"
            stroke="var(--sheet)"
            stroke-width={shape.unit * 1.2}
            paint-order="stroke"
            class="figure">{label.text}</text
        >
    {/each}
</svg>
