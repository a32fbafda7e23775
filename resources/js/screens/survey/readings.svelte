<script lang="ts">
    // What was read at the vehicle, how each reading stands to the others, and how sure every end is for it.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { AnswerPlan, MeasuredDocument, ReadingDocument } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import { freeName } from '@/lib/free-name';
    import { endName, forget, measuredOf, numberOr, placeFrom, placeText, wayOf } from '@/lib/readings';
    import type ReadingDialog from './reading-dialog.svelte';
    import type WalkDialog from './walk-dialog.svelte';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    const measured = $derived<MeasuredDocument>(
        desk.document.measured ?? { points: [], ends: [], readings: [] },
    );
    const plan = $derived(desk.plan.measured);
    const toGo = $derived((plan?.walk ?? []).filter(({ isCheck }) => !isCheck).length);
    /** Those that do not agree first; a place in the document with each. */
    const inOrder = $derived(
        measured.readings
            .map((one, i) => ({ one, i, isSuspect: standing(one.id)?.stands === 'suspect' }))
            .sort((one, other) => Number(other.isSuspect) - Number(one.isSuspect)),
    );
    let adding = $state(false);
    let changing = $state.raw<ReadingDocument | null>(null);
    let walking = $state(false);
    // Neither is a part of the first view.
    let Dialog = $state.raw<typeof ReadingDialog | null>(null);
    let Walk = $state.raw<typeof WalkDialog | null>(null);

    async function ask(reading: ReadingDocument | null): Promise<void> {
        Dialog ??= (await import('./reading-dialog.svelte')).default;
        changing = reading;
        adding = true;
    }

    async function walk(): Promise<void> {
        Walk ??= (await import('./walk-dialog.svelte')).default;
        walking = true;
    }

    /** The end that was chosen in the picture, else the start of the run that is worked on. */
    const about = $derived(
        desk.selection?.kind === 'end' ? desk.selection.id : endName(desk.entered?.letter ?? 'A', true),
    );
    const standing = (id: string) => plan?.readings.find((one) => one.id === id);

    const change = (how: (it: MeasuredDocument) => void) =>
        void desk.edit((document) => how(measuredOf(document)));

    function choose(answer: AnswerPlan): void {
        const { of, way, isFacing } = answer;
        if (!way) return;
        change((it) => {
            const one =
                it.ends.find((end) => endName(end.run, end.isStart) === of) ??
                it.points.find(({ name }) => name === of);
            if (!one) return;
            if (isFacing && 'run' in one) one.facing = way;
            else one.side = way;
        });
    }

    function rename(i: number, name: string): void {
        change((it) => {
            const point = it.points[i];
            if (!point) return;
            const was = point.name;
            point.name = name.trim();
            const renamed = (one: string) => (one === was ? point.name : one);
            for (const one of it.readings) {
                one.of = renamed(one.of);
                if (one.with) one.with = one.with.map(renamed);
                if (one.points)
                    one.points = one.points.map((at) => (typeof at === 'string' ? renamed(at) : at));
            }
        });
    }

    const MARKS = { agrees: '✓', unchecked: '–', suspect: '!', 'left out': '×' } as const;
    const err = (path: string) => errorAt(desk.errors, `measured.${path}`);
    const anyErr = (path: string) =>
        Object.entries(desk.errors).find(([at]) => at.startsWith(`measured.${path}`))?.[1][0] ?? '';
</script>

<section class="sheet space-y-3 p-3" aria-label="Readings at the vehicle">
    <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <h2 class="heading">Readings at the vehicle</h2>
        <p class="text-quiet">
            {#if measured.readings.length === 0}
                tape, rod, level and angle finder instead of places and directions
            {:else}
                {measured.readings.length} read{toGo > 0 ? `, ${toGo} to go` : ''}
            {/if}
        </p>
    </div>
    {#if mayPlan}
        <div class="flex flex-wrap gap-2">
            <Button look={measured.readings.length === 0 ? 'plain' : 'main'} onclick={() => void walk()}
                >Take them one by one</Button
            >
            <Button onclick={() => void ask(null)}>Add a reading</Button>
            <Button
                onclick={() =>
                    change((it) =>
                        it.points.push({
                            name: freeName(
                                'Point',
                                it.points.map(({ name }) => name),
                            ),
                        }),
                    )}>Add a point</Button
            >
        </div>
    {/if}
    {#if plan && plan.answers.length > 1}
        <div class="border-stop border-l-4 pl-3" role="group" aria-label="Which of them is it">
            <p>The readings fit {plan.answers.length} answers alike. Which is it?</p>
            <div class="mt-1 flex flex-wrap gap-2">
                {#each plan.answers as one, i (i)}
                    <Button disabled={!mayPlan || !one.way} onclick={() => choose(one)}>{one.says}</Button>
                {/each}
            </div>
        </div>
    {/if}
    {#if plan && plan.ends.length > 0}
        <ul class="border-line divide-line divide-y border-y" aria-label="How sure the ends are">
            {#each plan.ends as one (endName(one.run, one.isStart))}
                <li class="flex flex-wrap justify-between gap-x-4">
                    <span class="first-letter:uppercase">{one.says}</span>
                    <span class="figure">
                        {#if one.isPlaceOpen}place open{:else if one.sd}± {one.sd}{:else}typed{/if},
                        {#if one.isDirectionOpen}direction open{:else if one.sdAngle}± {one.sdAngle}{:else}typed{/if}
                    </span>
                </li>
            {/each}
        </ul>
    {/if}
    {#if plan && plan.runs.length > 0}
        <div class="overflow-x-auto">
            <table class="w-full text-left">
                <caption class="label text-left"
                    >Built from its start, as surely as its ends are known</caption
                >
                <thead>
                    <tr class="label border-line border-b">
                        <th class="pr-3 font-[inherit]">Run</th>
                        <th class="pr-3 font-[inherit]">far end may miss by</th>
                        <th class="pr-3 font-[inherit]">leave to trim</th>
                        <th class="font-[inherit]">worth most to take again</th>
                    </tr>
                </thead>
                <tbody>
                    {#each plan.runs as one (one.letter)}
                        <tr class="border-line border-b align-baseline">
                            <td>{one.letter}</td>
                            <td class="figure pr-3">± {one.miss}, {one.turn}</td>
                            <td class="figure pr-3">{one.trim}</td>
                            <td>
                                {#if one.retake}{standing(one.retake)?.says ?? one.retake}, then
                                    <span class="figure">± {one.then}</span>{:else}none{/if}
                            </td>
                        </tr>
                    {/each}
                </tbody>
            </table>
            <p class="text-quiet text-sm">Left so long it can be cut to fit in 95 of 100 cases.</p>
        </div>
    {/if}
    {#if measured.points.length > 0}
        <div>
            <p class="label">Points to measure from</p>
            <ul class="space-y-1">
                {#each measured.points as point, i (i)}
                    {@const found = plan?.points.find(({ name }) => name === point.name)}
                    <li class="grid grid-cols-[1fr_1.4fr_auto] items-end gap-2">
                        <TextField
                            label="Name of point {i + 1}"
                            hideLabel
                            value={point.name}
                            disabled={!mayPlan}
                            error={err(`points[${i}].name`)}
                            onchange={(name) => rename(i, name)}
                        />
                        <TextField
                            label="Rearward; right; up of {point.name}"
                            hideLabel
                            mono
                            value={point.at ? placeText(point.at) : ''}
                            placeholder={found?.at
                                ? `follows from readings, ± ${found.sd ?? ''}`
                                : 'rearward; right; up, or from readings'}
                            disabled={!mayPlan}
                            error={anyErr(`points[${i}].at`)}
                            onchange={(text) =>
                                change((it) => {
                                    const one = it.points[i];
                                    const at = placeFrom(text);
                                    if (!one) return;
                                    if (text.trim() === '') delete one.at;
                                    else one.at = typeof at === 'string' ? [at, '', ''] : at;
                                })}
                        />
                        <Button
                            look="quiet"
                            disabled={!mayPlan}
                            onclick={() =>
                                void desk.edit((document) => forget(document, (name) => name === point.name))}
                            >Remove</Button
                        >
                    </li>
                {/each}
            </ul>
        </div>
    {/if}
    {#if measured.readings.length > 0}
        <!-- A long sheet scrolls by itself, so that what comes after it stays at hand. -->
        <ul
            class="border-line divide-line max-h-[40rem] divide-y overflow-y-auto border-y"
            aria-label="Readings"
        >
            {#each inOrder as { one, i } (one.id)}
                {@const it = standing(one.id)}
                {@const way = wayOf(one)}
                <li
                    class="grid grid-cols-[1.4rem_minmax(0,1fr)_8.5rem] items-center gap-x-2 py-1 {it?.stands ===
                    'suspect'
                        ? 'bg-wash'
                        : ''}"
                    data-reading={one.id}
                >
                    <span
                        class="text-center {it?.stands === 'suspect'
                            ? 'text-stop font-semibold'
                            : 'text-quiet'}"
                        aria-hidden="true">{it ? MARKS[it.stands] : ''}</span
                    >
                    <span class={one.leftOut ? 'text-quiet line-through' : ''}>{it?.says ?? way.name}</span>
                    {#if way.value && !way.points}
                        <TextField
                            label={it?.says ?? way.name}
                            hideLabel
                            mono
                            class={way.value.isPoint ? 'col-span-2 col-start-2' : ''}
                            value={placeText(one.value)}
                            disabled={!mayPlan}
                            error={anyErr(`readings[${i}].value`)}
                            onchange={(text) =>
                                change((now) => {
                                    const there = now.readings[i];
                                    if (there)
                                        there.value = way.value?.isPoint ? placeFrom(text) : numberOr(text);
                                })}
                        />
                    {:else}
                        <span class="figure text-right"
                            >{one.points ? `${one.points.length} points` : ''}</span
                        >
                    {/if}
                    <span></span>
                    <span class="text-quiet col-span-2 flex flex-wrap items-baseline gap-x-3 text-sm">
                        <span class={it?.stands === 'suspect' ? 'text-stop' : ''}>
                            {#if it?.stands === 'left out' || !it}left out
                            {:else if it.stands === 'suspect'}does not agree: the others say {it.off} otherwise
                            {:else if it.stands === 'unchecked'}nothing checks it
                            {:else}agrees within {it.off}{/if}
                        </span>
                        {#if it?.within}<span>± {it.within}</span>{/if}
                        {#if mayPlan}
                            <button
                                type="button"
                                class="tap ml-auto underline underline-offset-4"
                                aria-label="Change: {it?.says ?? way.name}"
                                onclick={() => void ask(one)}>change</button
                            >
                            <button
                                type="button"
                                class="tap underline underline-offset-4"
                                aria-label="{one.leftOut ? 'Take in again' : 'Leave out'}: {it?.says ??
                                    way.name}"
                                onclick={() =>
                                    change((now) => {
                                        const there = now.readings[i];
                                        if (!there) return;
                                        if (there.leftOut) delete there.leftOut;
                                        else there.leftOut = true;
                                    })}>{one.leftOut ? 'take in again' : 'leave out'}</button
                            >
                            <button
                                type="button"
                                class="tap underline underline-offset-4"
                                aria-label="Remove: {it?.says ?? way.name}"
                                onclick={() => change((now) => now.readings.splice(i, 1))}>remove</button
                            >
                        {/if}
                    </span>
                </li>
            {/each}
        </ul>
    {/if}
</section>
{#if adding && Dialog}
    <Dialog {desk} reading={changing} of={about} bind:open={adding} />
{/if}
{#if walking && Walk}
    <Walk {desk} bind:open={walking} />
{/if}
