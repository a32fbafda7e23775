<script lang="ts">
    // What a hand can do to a run: turn, stretch, put a bend in or take it out, and let the rest close the far end.
    import Button from '@/kit/button.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { RunPlan } from '@/lib/answers';
    import LengthSlider from './length-slider.svelte';
    import TurnSlider from './turn-slider.svelte';

    type Props = { desk: JobDesk; run: RunPlan; chosen: number };
    let { desk, run, chosen }: Props = $props();

    const bends = $derived(run.run?.bends ?? []);
    /** Nothing is closed where the run ends where its pieces end. */
    const isFree = $derived(desk.entered?.end.free ?? false);
    const isClosed = $derived(run.farEnd?.closed === true);
</script>

<div class="border-line mt-3 space-y-2 border-t pt-2">
    {#if bends[chosen]}
        <TurnSlider {desk} index={chosen} turn={bends[chosen].rotation} />
    {/if}
    {#if bends.length > 1 && !isFree}
        <LengthSlider {desk} {run} />
    {/if}
    {#if desk.moved.length > 0}
        <p class="text-sm" role="status">Moved to close it: {desk.moved.join('; ')}.</p>
    {/if}
    {#if !isFree}
        <div class="flex flex-wrap gap-2">
            {#if !isClosed && bends.length > 0}
                <Button look="main" onclick={() => desk.byHand({ do: 'close' }, true)}>Close the rest</Button>
            {/if}
            <Button onclick={() => desk.byHand({ do: 'insert', index: chosen }, true)}
                >{bends.length === 0 ? 'Put a bend in' : `Bend before ${chosen + 1}`}</Button
            >
            {#if bends[chosen]}
                <Button onclick={() => desk.byHand({ do: 'insert', index: chosen + 1 }, true)}
                    >Bend behind {chosen + 1}</Button
                >
            {/if}
            {#if bends[chosen + 1]}
                <Button onclick={() => desk.byHand({ do: 'merge', index: chosen }, true)}
                    >Merge {chosen + 1} with {chosen + 2}</Button
                >
            {/if}
            {#if bends[chosen]}
                <Button look="quiet" onclick={() => desk.byHand({ do: 'remove', index: chosen }, true)}
                    >Take {chosen + 1} out</Button
                >
            {/if}
        </div>
    {/if}
</div>
