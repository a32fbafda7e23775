<script lang="ts">
    // Which of several runs is worked on; the same on every stage.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Snippet } from 'svelte';

    type Props = { desk: JobDesk; children?: Snippet };
    let { desk, children }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-1">
    <div class="flex flex-wrap gap-1" role="group" aria-label="Runs">
        {#each desk.plan.runs as run (run.letter)}
            {@const isOn = run.letter === desk.run?.letter}
            <button
                type="button"
                class="flex min-h-9 items-baseline gap-2 rounded-[2px] border px-3 py-1 {isOn
                    ? 'bg-wash border-action'
                    : 'bg-sheet border-line hover:border-ink'}"
                aria-pressed={isOn}
                onclick={() => desk.choose(run.letter)}
            >
                <span class="font-label text-lg font-semibold">{run.letter}</span>
                <span class="figure text-[0.85rem]">{run.run?.length.text ?? 'no route'}</span>
                {#if run.farEnd && !run.farEnd.closed}<span class="text-stop font-label text-sm">✕ open</span
                    >{/if}
            </button>
        {/each}
    </div>
    {@render children?.()}
</div>
