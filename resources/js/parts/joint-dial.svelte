<script lang="ts">
    // A joint seen end-on, looking with the flow.
    import type { Joint, PlacedFitting, Sheet } from '@/lib/answers';
    import { arcPath, gapsOf, spot, strokes } from './dial';

    type Props = {
        joint: Joint;
        sheet?: Sheet | undefined;
        fittings?: PlacedFitting[];
        tacks?: 'trial' | 'full';
        /** Where a torch gets to, in degrees; null where that is not known. */
        reached?: [number, number][] | null;
        /** What is welded before the next run goes in, in degrees. */
        first?: [number, number][];
        /** Tacks that pull it to its place. */
        pulling?: number[];
        size?: number;
    };
    let {
        joint,
        sheet,
        fittings = [],
        tacks = 'full',
        reached = null,
        first = [],
        pulling = [],
        size = 300,
    }: Props = $props();

    const places = $derived((tacks === 'full' ? sheet?.tacks.full : sheet?.tacks.trial) ?? []);
    const near = $derived(fittings.filter((one) => Math.abs(one.station - joint.station) < 120));
    const shut = $derived(reached === null ? [] : gapsOf(reached));
    const summary = $derived(
        `Joint ${joint.id} looking with the flow. Index mark ${joint.index.text} at the top. ` +
            (places.length > 0
                ? `Tacks in order at ${places.map((deg) => `${Math.round(deg)}°`).join(', ')}.`
                : 'It is not tacked.') +
            shut
                .map(([from, to]) => ` No torch from ${Math.round(from)}° to ${Math.round(to % 360)}°.`)
                .join('') +
            first
                .map(([from, to]) => ` Welded now from ${Math.round(from)}° to ${Math.round(to % 360)}°.`)
                .join(''),
    );
</script>

<svg viewBox="0 0 200 200" width={size} height={size} role="img" aria-label={summary} class="max-w-full">
    <circle cx="100" cy="100" r="70" fill="none" stroke="var(--tube)" stroke-width="12" />
    <circle cx="100" cy="100" r="76" fill="none" stroke="var(--strong)" stroke-width="0.8" />
    <circle cx="100" cy="100" r="64" fill="none" stroke="var(--strong)" stroke-width="0.8" />
    {#each shut as [from, to] (from)}
        <path
            d={arcPath(from, to, 70)}
            fill="none"
            stroke="var(--stop)"
            stroke-width="12"
            stroke-dasharray="2.2 1.6"
        />
    {/each}
    {#each first as [from, to] (from)}
        <path d={arcPath(from, to, 80.5)} fill="none" stroke="var(--action)" stroke-width="6" />
    {/each}
    {#each [0, 90, 180, 270] as degrees (degrees)}
        {@const inner = spot(degrees, 60)}
        {@const text = spot(degrees, 50)}
        <line
            x1={inner.x}
            y1={inner.y}
            x2={spot(degrees, 64).x}
            y2={spot(degrees, 64).y}
            stroke="var(--quiet)"
        />
        <text class="figure" x={text.x} y={text.y + 3} font-size="8" text-anchor="middle" fill="var(--quiet)"
            >{degrees}°</text
        >
    {/each}

    {#each strokes(joint.index.long, joint.index.short) as stroke (stroke.offset)}
        <line
            x1={100 + stroke.offset}
            x2={100 + stroke.offset}
            y1={20}
            y2={20 - stroke.length}
            stroke="var(--ink)"
            stroke-width="1.8"
        />
    {/each}

    {#if joint.nextThroat !== null}
        {@const from = spot(joint.nextThroat, 24)}
        {@const to = spot(joint.nextThroat, 60)}
        <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="var(--ink)" stroke-dasharray="4 2.5" />
        {@const label = spot(0, 0)}
        <text
            x={label.x}
            y={label.y + 3}
            font-size="8.5"
            text-anchor="middle"
            fill="var(--ink)"
            font-family="var(--font-label)">next throat</text
        >
    {/if}
    {#if joint.up !== null}
        {@const tip = spot(joint.up, 97)}
        {@const left = spot(joint.up - 3.4, 88)}
        {@const right = spot(joint.up + 3.4, 88)}
        <polygon points="{tip.x},{tip.y} {left.x},{left.y} {right.x},{right.y}" fill="var(--ink)" />
        <!-- Away from the witness mark at 0°. -->
        {@const label = spot(joint.up + (((joint.up % 360) + 360) % 360 > 180 ? -9 : 9), 91)}
        <text
            x={label.x}
            y={label.y + 3}
            font-size="8.5"
            text-anchor="middle"
            fill="var(--ink)"
            font-family="var(--font-label)">up</text
        >
        {@const low = spot(joint.up + 180, first.length > 0 ? 93 : 84)}
        <text
            x={low.x}
            y={low.y + 3}
            font-size="8"
            text-anchor="middle"
            fill="var(--quiet)"
            font-family="var(--font-label)">low</text
        >
    {/if}
    {#each near as fitting (fitting.joint)}
        {@const place = spot(fitting.fromThroat.turn.value, 70)}
        <rect
            x={place.x - 5}
            y={place.y - 5}
            width="10"
            height="10"
            fill="var(--sheet)"
            stroke="var(--ink)"
            transform="rotate(45 {place.x} {place.y})"
        />
    {/each}
    {#each pulling as degrees (degrees)}
        {@const [tip, left, right] = [spot(degrees, 60), spot(degrees - 7, 44), spot(degrees + 7, 44)]}
        <polygon points="{tip.x},{tip.y} {left.x},{left.y} {right.x},{right.y}" fill="var(--stop)" />
    {/each}
    {#each places as degrees, i (degrees)}
        {@const place = spot(degrees, 70)}
        <circle cx={place.x} cy={place.y} r="8.5" fill="var(--action)" />
        <text
            class="figure"
            x={place.x}
            y={place.y + 3.4}
            font-size="9.5"
            text-anchor="middle"
            fill="var(--on-action)">{i + 1}</text
        >
    {/each}
</svg>
