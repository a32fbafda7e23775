<script lang="ts">
    // The land of a flange or a ring as it was measured: where it stands out, and what comes off.
    import type { FlatnessMap, Step, Units } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { newest } from '@/lib/newest';

    type Props = {
        job: number;
        step: string;
        face: NonNullable<Step['face']>;
        units: Units;
        readings: Record<string, string>;
        onlack: (lack: string) => void;
    };
    let { job, step, face, units, readings, onlack }: Props = $props();

    let map = $state.raw<FlatnessMap | null>(null);
    let trouble = $state('');

    const ask = newest(async (given: Record<string, string>) => {
        const body = { step, units, readings: given };
        const reply = await send('POST', `/jobs/${job}/flatness`, 'FlatnessMap', body);
        // Half a number while it is typed is no trouble yet; without a network the server judges when it is logged.
        trouble =
            reply.ok || reply.status === 422
                ? ''
                : 'No map without the server; log it, and it is judged then.';
        if (reply.ok) map = reply.data;
        onlack(map?.flat === false ? map.verdict : '');
    });
    $effect(() => void ask({ ...readings }));

    const SIZE = 250;
    const scale = $derived((SIZE / 2 - 50) / face.outer);
    const at = (x: number, y: number) => ({ x: SIZE / 2 + scale * x, y: SIZE / 2 - scale * y });
    const found = $derived(new Map(map?.points.map((one) => [one.name, one])));
    const wide = $derived(scale * (face.outer - face.inner));
</script>

<div class="flex flex-wrap items-center gap-x-6 gap-y-2" aria-label="Map of the face" role="group">
    <svg
        viewBox="0 0 {SIZE} {SIZE}"
        class="h-60 w-60 shrink-0"
        role="img"
        aria-label="Where the face stands out"
    >
        <circle
            cx={SIZE / 2}
            cy={SIZE / 2}
            r={(scale * (face.inner + face.outer)) / 2}
            fill="none"
            stroke="var(--line)"
            stroke-width={wide}
        />
        {#each face.points as point (point.name)}
            {@const place = at(point.x, point.y)}
            {@const one = found.get(point.name)}
            {@const out = at(point.x * 1.62, point.y * 1.45)}
            <circle
                cx={place.x}
                cy={place.y}
                r={one ? 6 + 6 * one.share : 5}
                fill={!one ? 'var(--sheet)' : one.down === '' ? 'var(--action)' : 'var(--stop)'}
                stroke="var(--ink)"
            />
            <text x={out.x} y={out.y + 4} text-anchor="middle" font-size="12" fill="var(--ink)" class="figure"
                >{one ? one.high : point.label.split(' ')[0]}</text
            >
        {/each}
    </svg>
    <div class="min-w-52 grow basis-52 text-[1.1rem]">
        {#if map}
            <p class="font-medium {map.flat === false ? 'text-stop' : ''}">
                {map.flat === null ? '' : map.flat ? '✓ ' : '✕ '}{map.verdict}
            </p>
            <ul>
                {#each map.points.filter((one) => one.down !== '') as one (one.name)}
                    <li>
                        Take <span class="figure">{one.down}</span> off at
                        {face.points.find((point) => point.name === one.name)?.label}.
                    </li>
                {/each}
            </ul>
        {/if}
        {#if trouble}<p class="text-quiet">{trouble}</p>{/if}
    </div>
</div>
