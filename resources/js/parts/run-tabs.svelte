<script lang="ts">
    // Which of several runs is worked on, or looked at alone; the same on every stage.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Snippet } from 'svelte';

    type Props = { desk: JobDesk; filters?: boolean; children?: Snippet };
    let { desk, filters = false, children }: Props = $props();

    const look = (isOn: boolean) =>
        `flex min-h-9 items-baseline gap-2 rounded-[2px] border px-3 py-1 ${isOn ? 'bg-wash border-action' : 'bg-sheet border-line hover:border-ink'}`;
</script>

<div class="flex flex-wrap items-center gap-1">
    <div class="flex flex-wrap gap-1" role="group" aria-label={filters ? 'Runs shown' : 'Runs'}>
        {#if filters}
            <button
                type="button"
                class={look(desk.only === null)}
                aria-pressed={desk.only === null}
                onclick={() => desk.filter(null)}
            >
                <span class="font-label text-lg font-semibold">Whole job</span>
            </button>
        {/if}
        {#if filters}
            {#each desk.plan.merge.collectors as collector (collector.letter)}
                <button
                    type="button"
                    class={look(desk.only === collector.letter)}
                    aria-pressed={desk.only === collector.letter}
                    onclick={() => desk.filter(collector.letter)}
                >
                    <span class="font-label text-lg font-semibold">{collector.letter}</span>
                    <span class="text-[0.85rem]">{collector.name}</span>
                </button>
            {/each}
        {/if}
        {#each desk.plan.runs as run (run.letter)}
            {@const isOn = filters ? desk.only === run.letter : run.letter === desk.run?.letter}
            <button
                type="button"
                class={look(isOn)}
                aria-pressed={isOn}
                onclick={() => (filters ? desk.filter(run.letter) : desk.choose(run.letter))}
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
