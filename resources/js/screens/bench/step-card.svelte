<script lang="ts">
    import { untrack, type Snippet } from 'svelte';
    import { SvelteSet } from 'svelte/reactivity';
    import type { Closed, Inspected, Looks, Step, StepNote, Units } from '@/lib/answers';
    import type { HalfTyped } from '@/lib/half-typed';
    import type { Kept } from '@/lib/log-queue';
    import type { StepClocks } from './clock.svelte';
    import { when } from '@/lib/when';
    import ClockFace from './clock-face.svelte';
    import DevicePanel from './device-panel.svelte';
    import { beyondOf, lacksOf, lacksOfFound, missingOf } from './gate';
    import FaceMap from './face-map.svelte';
    import GatePanel from './gate-panel.svelte';
    import InspectionCard from './inspection-card.svelte';
    import PhotoSlot from './photo-slot.svelte';

    /** What is said of a step that is finished. */
    type Said = Pick<Kept, 'readings' | 'note' | 'why' | 'points' | 'inspected' | 'traces'>;

    type Props = {
        step: Step;
        clocks: StepClocks;
        mayLog: boolean;
        /** While something is written down. */
        isBusy: boolean;
        isDone: boolean;
        read: Record<string, string>;
        noted?: string;
        /** By whom it was closed, and when; null where it is open. */
        closed: Closed | null;
        notes: StepNote[];
        /** What was typed here before the page was loaded again. */
        half: HalfTyped | null;
        ontype: (half: HalfTyped) => void;
        /** Seconds a joint still cools, as planned. */
        left: number;
        /** Held after every run, in s. */
        postflow: number | null;
        /** What it still waits for, in words. */
        waits: string[];
        looks: Looks;
        job: number;
        units: Units;
        /** Seconds since what instruments watch was begun; null before. */
        watched: number | null;
        /** What it is about, drawn. */
        picture?: Snippet;
        onfinish: (said: Said) => void;
        onreopen: (note: string) => void;
        onproblem: (note: string) => void;
    };
    let {
        step,
        clocks,
        mayLog,
        isBusy,
        isDone,
        read,
        noted = '',
        closed,
        notes,
        half,
        ontype,
        left,
        postflow,
        waits,
        looks,
        job,
        units,
        watched,
        picture,
        onfinish,
        onreopen,
        onproblem,
    }: Props = $props();

    const UNSEEN: NonNullable<Inspected> = {
        outside: '',
        inside: '',
        flaws: [],
        cause: null,
        outcome: 'accept',
    };
    let readings = $state<Record<string, string>>(untrack(() => ({ ...read, ...half?.readings })));
    let note = $state(untrack(() => half?.note || noted));
    const confirmed = new SvelteSet<number>(untrack(() => half?.points ?? []));
    let found = $state.raw<NonNullable<Inspected>>(untrack(() => half?.found ?? UNSEEN));
    let noteField: HTMLInputElement | undefined = $state();
    $effect(() => {
        const changed = Object.entries(readings).filter(([name, text]) => text !== (read[name] ?? ''));
        const now = {
            readings: Object.fromEntries(changed),
            note: note === noted ? '' : note,
            points: [...confirmed],
            found: found === UNSEEN ? null : found,
        };
        untrack(() => ontype(now));
    });
    let traces = $state.raw<NonNullable<Kept['traces']>>([]);
    let lacks = $state.raw<string[]>([]);
    let isNoteMissing = $state(false);
    /** Of a face: that it is not flat, as far as it was read. */
    let bowed = $state('');
    /** Of an inspection: what has not been said yet. */
    let missing = $state('');
    const timed = $derived(step.clock === 'up');
    const isWatched = $derived(step.watched && mayLog && !isDone);
    const hasSide = $derived(step.seconds !== null || isWatched);
    const planned = $derived(step.measures.some((measure) => measure.planned !== null));

    function asPlanned(): void {
        for (const measure of step.measures) {
            // What is asked for is read, not taken from the plan.
            if (measure.planned !== null && !measure.asked && !(timed && measure.name === 'seconds'))
                readings[measure.name] = measure.planned;
        }
    }

    function finish(why = ''): void {
        const all = { ...readings };
        const gone = Math.round(clocks.for(step.id));
        if (timed && !all['seconds'] && gone > 0) all['seconds'] = `${gone} s`;
        const isInspected = step.inspection !== null && !isDone;
        missing = isInspected ? missingOf(found) : '';
        if (missing !== '') return;
        lacks =
            why !== ''
                ? []
                : [
                      ...(isDone ? beyondOf(step, all) : [...waits, ...lacksOf(step, all, confirmed)]),
                      ...(bowed === '' ? [] : [bowed]),
                      ...(isInspected ? lacksOfFound(step, looks, found) : []),
                  ];
        const inspected = isInspected
            ? { ...found, cause: found.outcome === 'accept' ? null : found.cause }
            : null;
        if (lacks.length === 0)
            onfinish({ readings: all, note, why, points: [...confirmed], inspected, traces });
    }

    function problem(): void {
        isNoteMissing = note.trim() === '';
        if (isNoteMissing) {
            noteField?.scrollIntoView({ block: 'center' });
            noteField?.focus();
            return;
        }
        onproblem(note);
        note = '';
    }
</script>

<section class="sheet flex grow flex-col p-4" aria-label={step.title}>
    <p class="label text-base">
        {step.kindLabel} · {step.of}{isDone
            ? ` · ✓ done${closed ? ` by ${closed.by}, ${when(closed.at)}` : ''}`
            : ''}
    </p>
    <h2 class="font-label text-[2rem] leading-tight font-semibold">{step.title}</h2>
    {#if notes.length > 0}
        <ul class="border-strong mt-2 border-l-4 pl-3 text-[1.1rem]" aria-label="Said of it so far">
            {#each notes as one, i (i)}
                <li>{one.text} <span class="text-quiet text-base">{one.by}, {when(one.at)}</span></li>
            {/each}
        </ul>
    {/if}
    <div class="mt-3 grid grow gap-5 {hasSide ? 'md:grid-cols-[1fr_19rem]' : ''}">
        <div class="space-y-4">
            {@render picture?.()}
            <ol class="list-inside space-y-2 text-[1.15rem] leading-snug">
                {#each step.do as line, i (i)}
                    <li class="flex gap-3">
                        <span class="figure text-quiet">{i + 1}</span><span>{line}</span>
                    </li>
                {/each}
            </ol>
            {#if step.face}
                <FaceMap
                    {job}
                    step={step.id}
                    face={step.face}
                    {units}
                    {readings}
                    onlack={(lack) => (bowed = lack)}
                />
            {/if}
            {#if step.inspection && mayLog && !isDone}
                <InspectionCard {step} {looks} bind:found onchange={() => (missing = '')} />
                {#if missing !== ''}<p class="text-stop text-lg" role="alert">✕ {missing}</p>{/if}
            {/if}
            {#if step.points.length > 0}
                <ul class="divide-line border-line divide-y border" aria-label="To be confirmed">
                    {#each step.points as point, i (i)}
                        <li>
                            <label
                                class="flex min-h-15 items-center gap-3 px-3 py-1.5 text-[1.1rem] leading-snug"
                            >
                                <input
                                    type="checkbox"
                                    class="accent-action size-7 shrink-0"
                                    disabled={!mayLog || isDone}
                                    checked={isDone || confirmed.has(i)}
                                    onchange={(event) =>
                                        event.currentTarget.checked ? confirmed.add(i) : confirmed.delete(i)}
                                />
                                <span>{point}</span>
                            </label>
                        </li>
                    {/each}
                </ul>
            {/if}
        </div>
        {#if hasSide}
            <div class="space-y-3">
                {#if step.seconds !== null}
                    <ClockFace
                        {clocks}
                        stepId={step.id}
                        seconds={step.seconds}
                        clock={step.clock}
                        {left}
                        {postflow}
                    />
                {/if}
                {#if isWatched}
                    <DevicePanel
                        {job}
                        {step}
                        {units}
                        seconds={watched}
                        run={new Date().toDateString()}
                        onread={(name, text) => {
                            if (step.measures.some((one) => one.name === name)) readings[name] = text;
                        }}
                        bind:traces
                    />
                {/if}
            </div>
        {/if}
    </div>
    <p class="border-line mt-4 border-t pt-2 text-[0.98rem]">△ {step.caution}</p>
    {#if mayLog}
        <PhotoSlot {job} step={step.id} />
        <div
            class="border-line mt-3 grid items-end gap-3 border-t pt-3 sm:grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))]"
        >
            {#each step.measures as measure (measure.name)}
                <div>
                    <label class="label block text-base" for="read-{measure.name}"
                        >{measure.label}{measure.most ? `, at most ${measure.most.text}` : ''}</label
                    >
                    <input
                        id="read-{measure.name}"
                        class="bg-sheet border-strong figure min-h-16 w-full border px-3 text-xl"
                        placeholder={measure.asked ? 'read it' : (measure.planned ?? '')}
                        bind:value={readings[measure.name]}
                    />
                </div>
            {/each}
            <div>
                <label class="label block text-base" for="note">Note</label>
                <input
                    id="note"
                    bind:this={noteField}
                    maxlength="2000"
                    class="bg-sheet min-h-16 w-full border px-3 text-lg {isNoteMissing
                        ? 'border-stop border-2'
                        : 'border-strong'}"
                    placeholder={isNoteMissing ? 'what is wrong?' : ''}
                    bind:value={note}
                />
            </div>
        </div>
        {#if lacks.length > 0}
            <GatePanel {lacks} ongo={finish} onback={() => (lacks = [])} />
        {:else}
            <div
                class="bg-sheet sticky bottom-0 grid gap-2 pt-3 pb-1 {isDone
                    ? 'grid-cols-[1fr_2fr]'
                    : 'grid-cols-[1fr_1fr_2fr] max-sm:grid-cols-2'}"
            >
                {#if isDone}
                    <button
                        type="button"
                        class="font-label border-strong bg-sheet min-h-16 border text-xl"
                        disabled={isBusy}
                        onclick={() => onreopen(note)}>Open again</button
                    >
                    <button
                        type="button"
                        class="font-label border-action text-action min-h-16 border text-xl font-semibold"
                        disabled={isBusy}
                        onclick={() => finish()}>Log a correction</button
                    >
                {:else}
                    <button
                        type="button"
                        class="font-label border-strong bg-sheet min-h-16 border text-xl"
                        disabled={isBusy}
                        onclick={problem}>Problem</button
                    >
                    <button
                        type="button"
                        class="font-label border-strong bg-sheet min-h-16 border text-xl disabled:opacity-40"
                        disabled={!planned}
                        onclick={asPlanned}>As planned</button
                    >
                    <button
                        type="button"
                        class="bg-action text-on-action font-label min-h-16 text-2xl font-semibold max-sm:col-span-2"
                        disabled={isBusy}
                        onclick={() => finish()}>Done, next</button
                    >
                {/if}
            </div>
        {/if}
    {:else}
        <p class="text-quiet mt-3">Your role looks on; it does not log.</p>
    {/if}
</section>
