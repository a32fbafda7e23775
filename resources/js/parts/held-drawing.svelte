<script lang="ts">
    // The piece as it is held for a weld: where argon goes in and out, what is dammed, which joints are taped.
    import type { BenchPose, CollectorShape, RunPlan } from '@/lib/answers';
    import { heldPicture, type Flat } from './held';

    type Props = {
        pose: BenchPose;
        runs: RunPlan[];
        collectors: CollectorShape[];
        taped: string[];
        joint: string;
    };
    let props: Props = $props();

    const picture = $derived(heldPicture(props));
    const points = (some: Flat[]) => some.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
    const summary = $derived([...props.pose.lines, `The seam is ${props.joint}.`].join(' '));
    /** So far across and along from its tip an arrow's head reaches. */
    const HEAD = 9;
    const head = (from: Flat, to: Flat) => {
        const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
        const [dx, dy] = [(to.x - from.x) / long, (to.y - from.y) / long];
        const back = { x: to.x - HEAD * dx, y: to.y - HEAD * dy };
        const half = HEAD * 0.55;
        return points([
            to,
            { x: back.x - half * dy, y: back.y + half * dx },
            { x: back.x + half * dy, y: back.y - half * dx },
        ]);
    };
</script>

<svg viewBox="0 0 360 240" class="h-auto w-full" role="img" aria-label={summary}>
    {#each picture.tubes as tube, i (i)}
        <polyline points={points(tube.points)} fill="none" stroke="var(--ink)" stroke-width={tube.wide} />
    {/each}
    {#each picture.tubes as tube, i (i)}
        <polyline
            points={points(tube.points)}
            fill="none"
            stroke="var(--tube)"
            stroke-width={Math.max(1, tube.wide - 2.4)}
        />
    {/each}
    {#each picture.taped as at, i (i)}
        <rect x={at.x - 4} y={at.y - 4} width="8" height="8" fill="var(--ink)" />
    {/each}
    {#each picture.dams as at, i (i)}
        <circle cx={at.x} cy={at.y} r="5" fill="var(--strong)" stroke="var(--ink)" />
        <text x={at.x} y={at.y - 9} font-size="11" text-anchor="middle" fill="var(--ink)">dam</text>
    {/each}
    {#each picture.arrows as arrow, i (i)}
        <line
            x1={arrow.from.x}
            y1={arrow.from.y}
            x2={arrow.to.x}
            y2={arrow.to.y}
            stroke="var(--action)"
            stroke-width="4"
        />
        <polygon points={head(arrow.from, arrow.to)} fill="var(--action)" />
        <text
            x={Math.min(338, Math.max(22, arrow.at.x))}
            y={Math.min(234, Math.max(14, arrow.at.y + 5))}
            font-size="15"
            font-weight="600"
            text-anchor="middle"
            fill="var(--ink)"
            font-family="var(--font-label)">{arrow.word}</text
        >
    {/each}
    {#if picture.seam}
        <circle
            cx={picture.seam.x}
            cy={picture.seam.y}
            r="7"
            fill="var(--sheet)"
            stroke="var(--action)"
            stroke-width="3.5"
        />
    {/if}
</svg>
