<script lang="ts">
    // The lands of a flange, a ring or all ports of a header as they were measured: where they stand out, and what comes off.
    import type { FlatnessMap, Step, Units } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { newest } from '@/lib/newest';

    type Face = NonNullable<Step['face']>;
    type Props = {
        job: number;
        step: string;
        face: Face;
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

    const [MOST_WIDE, TALL, MARGIN] = [620, 250, 50];
    const span = (
        of: (land: Face['lands'][number]) => number,
        out: (land: Face['lands'][number]) => number,
    ) => {
        const [from, to] = [
            Math.min(...face.lands.map((one) => of(one) - out(one))),
            Math.max(...face.lands.map((one) => of(one) + out(one))),
        ];
        return { middle: (from + to) / 2, wide: to - from };
    };
    const across = $derived(
        span(
            (one) => one.x,
            (one) => one.outer,
        ),
    );
    const up = $derived(
        span(
            (one) => one.y,
            (one) => one.outer,
        ),
    );
    const scale = $derived(Math.min((MOST_WIDE - 2 * MARGIN) / across.wide, (TALL - 2 * MARGIN) / up.wide));
    const size = $derived({
        wide: scale * across.wide + 2 * MARGIN,
        tall: scale * up.wide + 2 * MARGIN,
    });
    const at = (x: number, y: number) => ({
        x: size.wide / 2 + scale * (x - across.middle),
        y: size.tall / 2 - scale * (y - up.middle),
    });
    /** The middle of the land that a point lies on: its number stands further out from there. */
    const middleOf = (point: Face['points'][number]) =>
        face.lands.reduce((near, one) =>
            Math.hypot(one.x - point.x, one.y - point.y) < Math.hypot(near.x - point.x, near.y - point.y)
                ? one
                : near,
        );
    const isSingle = $derived(face.lands.length === 1);
    const found = $derived(new Map(map?.points.map((one) => [one.name, one])));
    /** A number without its unit, an hour without its clock. */
    const bare = (text: string) => text.split(' ')[0];
    const markOf = (land: Face['lands'][number]) =>
        face.points.find((one) => middleOf(one) === land)?.label.split(',')[0];
</script>

<div class="flex flex-wrap items-center gap-x-6 gap-y-2" aria-label="Map of the face" role="group">
    <svg
        viewBox="0 0 {size.wide} {size.tall}"
        class="shrink-0 {isSingle ? 'h-60 w-60' : 'w-full max-w-[38rem]'}"
        role="img"
        aria-label="Where the face stands out"
    >
        {#each face.lands as land, i (i)}
            {@const middle = at(land.x, land.y)}
            <circle
                cx={middle.x}
                cy={middle.y}
                r={(scale * (land.inner + land.outer)) / 2}
                fill="none"
                stroke="var(--line)"
                stroke-width={scale * (land.outer - land.inner)}
            />
            {#if !isSingle}
                <text
                    x={middle.x}
                    y={middle.y + 6}
                    text-anchor="middle"
                    font-size="18"
                    fill="var(--ink)"
                    class="font-label font-semibold">{markOf(land)}</text
                >
            {/if}
        {/each}
        {#each face.points as point (point.name)}
            {@const place = at(point.x, point.y)}
            {@const one = found.get(point.name)}
            {@const land = middleOf(point)}
            {@const [dx, dy] = [point.x - land.x, point.y - land.y]}
            {@const out = isSingle
                ? at(land.x + 1.62 * dx, land.y + 1.45 * dy)
                : at(land.x + 0.75 * dx, land.y + (dy > 0 ? 1.75 : 3.2) * dy)}
            <circle
                cx={place.x}
                cy={place.y}
                r={(one ? 6 + 6 * one.share : 5) * (isSingle ? 1 : 0.7)}
                fill={!one ? 'var(--sheet)' : one.down === '' ? 'var(--action)' : 'var(--stop)'}
                stroke="var(--ink)"
            />
            <text x={out.x} y={out.y + 4} text-anchor="middle" font-size="12" fill="var(--ink)" class="figure"
                >{one ? (isSingle ? one.high : bare(one.high)) : isSingle ? bare(point.label) : ''}</text
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
