<script lang="ts">
    // The clock of a step: argon counted down, the arc counted up, cooling told from when the joint was welded.
    import type { Step } from '@/lib/answers';
    import { readySound } from './alarm';
    import { clockText, type StepClocks } from './clock.svelte';

    type Props = {
        clocks: StepClocks;
        stepId: string;
        seconds: number;
        /** How it runs: an arc is counted up, argon down, cooling from the weld on. */
        clock: Step['clock'];
        /** Of a joint that cools: what is left, as planned. */
        left: number;
        /** Held after every run, in s; null where nothing is welded. */
        postflow: number | null;
    };
    let { clocks, stepId, seconds, clock, left, postflow }: Props = $props();

    const isCooling = $derived(clock === 'since-weld');
    const isUp = $derived(clock === 'up');
    const gone = $derived(isCooling ? Math.max(0, seconds - left) : clocks.for(stepId));
    const shown = $derived(isUp ? gone : isCooling ? left : seconds - gone);
    const running = $derived(clocks.isRunning(stepId));
    const over = $derived(!isUp && shown <= 0);
    const verb = $derived({ down: 'Purge', up: 'At the joint', 'since-weld': 'Cooling' }[clock ?? 'down']);
    const said = $derived(
        !over ? '' : clock === 'down' ? '● Time is up: read the meter' : '● Time is up: measure it',
    );

    const held = $derived(`${stepId} post-flow`);
    const heldLeft = $derived((postflow ?? 0) - clocks.for(held));

    function toggle(): void {
        readySound();
        clocks.toggle(stepId);
    }

    function hold(): void {
        readySound();
        clocks.reset(held);
        clocks.toggle(held);
    }
</script>

<div class="border-strong border p-3 text-center" role="timer" aria-label={verb}>
    <p class="label text-base">{verb}{isUp ? `, about ${clockText(seconds)} planned` : ''}</p>
    <p class="figure text-[4.2rem] leading-none font-medium">{clockText(shown)}</p>
    <div class="border-line mt-2 h-3 border">
        <div
            class="bg-action h-full"
            style:width="{Math.min(100, (100 * gone) / Math.max(seconds, 1))}%"
        ></div>
    </div>
    <p class="mt-1 min-h-6 font-medium" aria-live="polite">{said}</p>
    {#if isCooling}
        <p class="text-quiet text-base">From when it was welded, as planned.</p>
    {:else}
        <div class="grid grid-cols-[2fr_1fr] gap-2">
            <button
                type="button"
                class="font-label min-h-16 border text-xl font-semibold {running
                    ? 'border-strong bg-sheet'
                    : 'bg-action text-on-action border-action'}"
                onclick={toggle}>{running ? 'Stop' : gone > 0 ? 'Go on' : 'Start'}</button
            >
            <button
                type="button"
                class="font-label border-strong bg-sheet min-h-16 border text-lg"
                disabled={gone === 0}
                onclick={() => clocks.reset(stepId)}>Zero</button
            >
            {#if postflow !== null}
                <button
                    type="button"
                    class="font-label border-strong bg-sheet col-span-2 min-h-16 border text-lg"
                    onclick={hold}
                    >{clocks.isRunning(held) && heldLeft > 0
                        ? `Hold the post-flow: ${Math.ceil(heldLeft)} s`
                        : `Post-flow, ${postflow} s`}</button
                >
            {/if}
        </div>
    {/if}
</div>
