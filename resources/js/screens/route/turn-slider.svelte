<script lang="ts">
    // Turning one joint by hand: the core answers while it is dragged; letting go saves.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Shown } from '@/lib/plan';

    type Props = { desk: JobDesk; index: number; turn: Shown };
    let { desk, index, turn }: Props = $props();

    let busy = false;
    let waiting: number | null = null;

    function put(degrees: number) {
        const letter = desk.entered?.letter;
        return (document: typeof desk.document): void => {
            const bend = document.runs.find((run) => run.letter === letter)?.route?.bends[index];
            if (bend) bend.rotation = degrees;
        };
    }

    async function drag(degrees: number): Promise<void> {
        waiting = degrees;
        if (busy) return;
        busy = true;
        while (waiting !== null) {
            const next: number = waiting;
            waiting = null;
            await desk.preview(put(next));
        }
        busy = false;
    }
</script>

<label class="mb-2 grid grid-cols-[auto_1fr_4.5rem] items-center gap-3">
    <span class="label">Turn bend {index + 1}</span>
    <input
        type="range"
        min="-180"
        max="180"
        step="0.5"
        value={turn.value}
        class="accent-action w-full"
        oninput={(event) => drag(event.currentTarget.valueAsNumber)}
        onchange={(event) => desk.edit(put(event.currentTarget.valueAsNumber))}
    />
    <span class="figure text-right">{turn.text}</span>
</label>
