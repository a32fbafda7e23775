<script lang="ts">
    // A trace of an instrument as a line, with the limit or the planned value it is held against.
    import { plotOf } from './plot';

    type Props = {
        values: number[];
        /** In the same unit; null where there is none. */
        limit?: number | null;
        /** Over so many powers of ten that only their number tells anything, as oxygen falls. */
        isSteep?: boolean;
        /** The line is what was planned, and not a limit. */
        isPlan?: boolean;
        label?: string;
    };
    let { values, limit = null, isSteep = false, isPlan = false, label = '' }: Props = $props();

    const WIDE = 200;
    const HIGH = 56;
    const plot = $derived(plotOf(values, limit, isSteep, WIDE, HIGH));
</script>

<svg
    viewBox="0 0 {WIDE} {HIGH}"
    class="border-line mt-1 block h-14 w-full border"
    preserveAspectRatio="none"
    role={label === '' ? 'presentation' : 'img'}
    aria-label={label === '' ? undefined : label}
>
    {#if plot.limit !== null}
        <line
            x1="0"
            x2={WIDE}
            y1={plot.limit}
            y2={plot.limit}
            class={isPlan ? 'stroke-ink' : 'stroke-stop'}
            stroke-dasharray="4 3"
            vector-effect="non-scaling-stroke"
        />
    {/if}
    <path
        d={plot.line}
        class="stroke-action"
        fill="none"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
    />
</svg>
