<script lang="ts">
    import { clockText, type StepClock } from './clock.svelte';

    type Props = { clock: StepClock; stepId: string; seconds: number; kind: string };
    let { clock, stepId, seconds, kind }: Props = $props();

    const counts = $derived(kind === 'weld' ? 'up' : 'down');
    const gone = $derived(clock.for(stepId));
    const left = $derived(seconds - gone);
    const running = $derived(clock.isRunning(stepId));
    const over = $derived(counts === 'down' && left <= 0);
    const verb = $derived({ purge: 'Purge', weld: 'Arc time', cool: 'Cooling' }[kind] ?? 'Time');
</script>

<div class="border-strong flex flex-col border p-3 text-center" role="timer" aria-label={verb}>
    <p class="label text-base">{verb}{counts === 'up' ? `, about ${clockText(seconds)} planned` : ''}</p>
    <p class="figure text-[4.2rem] leading-none font-medium">
        {counts === 'down' ? clockText(left) : clockText(gone)}
    </p>
    <div class="border-line mt-2 h-3 border">
        <div
            class="bg-action h-full"
            style:width="{Math.min(100, (100 * gone) / Math.max(seconds, 1))}%"
        ></div>
    </div>
    <p class="mt-1 min-h-6 font-medium" aria-live="polite">
        {over ? (kind === 'purge' ? '● Time is up: read the meter' : '● Time is up: try it by hand') : ''}
    </p>
    <div class="mt-auto grid grid-cols-[2fr_1fr] gap-2">
        <button
            type="button"
            class="font-label min-h-16 border text-xl font-semibold {running
                ? 'border-strong bg-sheet'
                : 'bg-action text-on-action border-action'}"
            onclick={() => clock.toggle(stepId)}>{running ? 'Stop' : gone > 0 ? 'Go on' : 'Start'}</button
        >
        <button
            type="button"
            class="font-label border-strong bg-sheet min-h-16 border text-lg"
            disabled={gone === 0}
            onclick={() => clock.reset(stepId)}>Zero</button
        >
    </div>
</div>
