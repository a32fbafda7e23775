<script lang="ts">
    // Turning one joint by hand: the core answers while it is dragged; letting go saves.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { newest } from '@/lib/newest';
    import type { Shown } from '@/lib/answers';

    type Props = { desk: JobDesk; index: number; turn: Shown };
    let { desk, index, turn }: Props = $props();

    function put(degrees: number) {
        const letter = desk.entered?.letter;
        return (document: typeof desk.document): void => {
            const bend = document.runs.find((run) => run.letter === letter)?.route?.bends[index];
            if (bend) bend.rotation = degrees;
        };
    }

    const drag = newest((degrees: number) => desk.preview(put(degrees)));
</script>

<label class="grid grid-cols-[6rem_1fr_5.5rem] items-center gap-3">
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
