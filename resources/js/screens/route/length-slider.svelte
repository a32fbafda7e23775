<script lang="ts">
    // Pulling a run longer or shorter with its far end held: what is not locked gives way.
    import { untrack } from 'svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { newest } from '@/lib/newest';
    import type { RunPlan } from '@/lib/answers';

    type Props = { desk: JobDesk; run: RunPlan };
    let { desk, run }: Props = $props();

    const length = $derived(run.run?.length.value ?? 0);
    // The scale stays where it was when the run was chosen, or it would slide away under the hand.
    const scale = $derived.by(() => {
        void run.letter;
        const now = untrack(() => length);
        return { least: Math.floor(now * 0.85), most: Math.ceil(now * 1.25) };
    });
    const drag = newest((mm: number) => desk.byHand({ do: 'length', length: mm }, false));
</script>

<label class="grid grid-cols-[6rem_1fr_minmax(5.5rem,max-content)] items-center gap-3">
    <span class="label">Length, closed</span>
    <input
        type="range"
        min={Math.min(scale.least, length)}
        max={Math.max(scale.most, length)}
        step="1"
        value={length}
        class="accent-action w-full"
        oninput={(event) => drag(event.currentTarget.valueAsNumber)}
        onchange={(event) => desk.byHand({ do: 'length', length: event.currentTarget.valueAsNumber }, true)}
    />
    <span class="figure text-right whitespace-nowrap">{run.run?.length.text}</span>
</label>
