<script lang="ts">
    // A flange flat on the sheet, seen with the flow: what is cut, and the tube that stands on it.
    import type { FlangePlate } from '@/lib/answers';

    type Props = { flange: FlangePlate };
    let { flange }: Props = $props();

    const text = (line: number[][]) => line.map(([x, y]) => `${x},${-(y ?? 0)}`).join(' ');
    const all = $derived(flange.outline);
    const box = $derived.by(() => {
        const xs = all.map(([x]) => x ?? 0);
        const ys = all.map(([, y]) => -(y ?? 0));
        const [left, right] = [Math.min(...xs), Math.max(...xs)];
        const [top, foot] = [Math.min(...ys), Math.max(...ys)];
        const pad = Math.max(right - left, foot - top) * 0.08;
        return {
            view: `${left - pad} ${top - pad} ${right - left + 2 * pad} ${foot - top + 2 * pad}`,
            unit: Math.max(right - left, foot - top) / 100,
            top,
        };
    });
</script>

<svg
    viewBox={box.view}
    class="max-h-full w-full grow"
    role="img"
    aria-label="{flange.name}, {flange.width.text} across and {flange.height.text} high, seen with the flow"
>
    <polygon
        points={text(flange.outline)}
        fill="var(--tube)"
        stroke="var(--ink)"
        stroke-width={box.unit * 0.6}
    />
    {#each flange.openings as opening, i (i)}
        <polygon
            points={text(opening)}
            fill="var(--sheet)"
            stroke="var(--ink)"
            stroke-width={box.unit * 0.6}
        />
    {/each}
    <circle
        r={flange.tube / 2}
        fill="none"
        stroke="var(--action)"
        stroke-width={box.unit * 0.6}
        stroke-dasharray="{box.unit * 2} {box.unit * 1.2}"
    />
    <line
        x1="0"
        y1={box.top}
        x2="0"
        y2={box.top + 5 * box.unit}
        stroke="var(--ink)"
        stroke-width={box.unit}
    />
</svg>
<p class="label px-3 pb-2">seen with the flow, the stroke is up · dashed: outside of the tube</p>
