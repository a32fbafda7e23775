<script lang="ts">
    import { untrack, type Snippet } from 'svelte';
    import type { Step } from '@/lib/answers';
    import { StepClock } from './clock.svelte';
    import ClockFace from './clock-face.svelte';

    type Props = {
        step: Step;
        clock: StepClock;
        mayLog: boolean;
        isDone: boolean;
        read: Record<string, string>;
        noted?: string;
        /** What it is about, drawn. */
        picture?: Snippet;
        onfinish: (readings: Record<string, string>, note: string) => void;
        onreopen: (note: string) => void;
    };
    let { step, clock, mayLog, isDone, read, noted = '', picture, onfinish, onreopen }: Props = $props();

    let readings = $state<Record<string, string>>(untrack(() => ({ ...read })));
    let note = $state(untrack(() => noted));
    const timed = $derived(step.kind === 'weld');
    const planned = $derived(step.measures.some((measure) => measure.planned !== null));

    function asPlanned(): void {
        for (const measure of step.measures) {
            if (measure.planned !== null && !(timed && measure.name === 'seconds'))
                readings[measure.name] = measure.planned;
        }
    }

    function finish(): void {
        const all = { ...readings };
        const gone = Math.round(clock.for(step.id));
        if (timed && !all['seconds'] && gone > 0) all['seconds'] = `${gone} s`;
        onfinish(all, note);
    }
</script>

<section class="sheet flex grow flex-col p-4" aria-label={step.title}>
    <p class="label text-base">{step.kindLabel} · {step.subject}{isDone ? ' · ✓ done' : ''}</p>
    <h2 class="font-label text-[2rem] leading-tight font-semibold">{step.title}</h2>
    <div class="mt-3 grid grow gap-5 {step.seconds === null ? '' : 'md:grid-cols-[1fr_19rem]'}">
        <div class="space-y-4">
            {@render picture?.()}
            <ol class="list-inside space-y-2 text-[1.15rem] leading-snug">
                {#each step.do as line, i (i)}
                    <li class="flex gap-3">
                        <span class="figure text-quiet">{i + 1}</span><span>{line}</span>
                    </li>
                {/each}
            </ol>
        </div>
        {#if step.seconds !== null}
            <ClockFace {clock} stepId={step.id} seconds={step.seconds} kind={step.kind} />
        {/if}
    </div>
    <p class="border-line mt-4 border-t pt-2 text-[0.98rem]">△ {step.caution}</p>
    {#if mayLog}
        <div
            class="border-line mt-3 grid items-end gap-3 border-t pt-3 sm:grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))]"
        >
            {#each step.measures as measure (measure.name)}
                <div>
                    <label class="label block text-base" for="read-{measure.name}">{measure.label}</label>
                    <input
                        id="read-{measure.name}"
                        class="bg-sheet border-strong figure min-h-16 w-full border px-3 text-xl"
                        placeholder={measure.planned ?? ''}
                        bind:value={readings[measure.name]}
                    />
                </div>
            {/each}
            <div>
                <label class="label block text-base" for="note">Note</label>
                <input
                    id="note"
                    maxlength="2000"
                    class="bg-sheet border-strong min-h-16 w-full border px-3 text-lg"
                    bind:value={note}
                />
            </div>
        </div>
        <div class="mt-3 grid gap-2 {planned || isDone ? 'sm:grid-cols-[1fr_2fr]' : ''}">
            {#if isDone}
                <button
                    type="button"
                    class="font-label border-strong bg-sheet min-h-16 border text-xl"
                    onclick={() => onreopen(note)}>Open again</button
                >
                <button
                    type="button"
                    class="font-label border-action text-action min-h-16 border text-xl font-semibold"
                    onclick={finish}>Log a correction</button
                >
            {:else}
                {#if planned}
                    <button
                        type="button"
                        class="font-label border-strong bg-sheet min-h-16 border text-xl"
                        onclick={asPlanned}>As planned</button
                    >
                {/if}
                <button
                    type="button"
                    class="bg-action text-on-action font-label min-h-16 text-2xl font-semibold"
                    onclick={finish}>Done, next</button
                >
            {/if}
        </div>
    {:else}
        <p class="text-quiet mt-3">Your role looks on; it does not log.</p>
    {/if}
</section>
