<script lang="ts">
    // The runs beside each other, unrolled to one scale, so that their lengths compare at a glance.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { segmentSpans } from './ribbon';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const longest = $derived(Math.max(1, ...desk.plan.runs.map((run) => run.run?.length.value ?? 0)));
</script>

<section class="sheet space-y-1 px-3 py-2" aria-label="All runs to one scale">
    {#each desk.plan.runs as run (run.letter)}
        {#if run.run}
            <button
                type="button"
                class="grid w-full grid-cols-[1.4rem_1fr_5.5rem] items-center gap-2 text-left"
                aria-pressed={run.letter === desk.run?.letter}
                aria-label="Run {run.letter}, {run.run.length.text}"
                onclick={() => desk.choose(run.letter)}
            >
                <span
                    class="font-label text-center font-semibold {run.letter === desk.run?.letter
                        ? 'bg-action text-on-action'
                        : ''}">{run.letter}</span
                >
                <span
                    class="border-strong bg-tube relative block h-4 border-y"
                    style:width="{(100 * run.run.length.value) / longest}%"
                >
                    {#each segmentSpans(run).filter((one) => one.segment.bend !== null) as { segment, span } (segment.from)}
                        <span
                            class="bg-bend absolute inset-y-0"
                            style:left="{span.left}%"
                            style:width="{span.width}%"
                        ></span>
                    {/each}
                    {#each run.joints as joint (joint.id)}
                        <span
                            class="bg-ink absolute inset-y-0 w-px"
                            style:left="{(100 * joint.station) / run.run.length.value}%"
                        ></span>
                    {/each}
                </span>
                <span class="figure text-right text-[0.85rem]">{run.run.length.text}</span>
            </button>
        {/if}
    {/each}
</section>
