<script lang="ts">
    // What holds for the runs together: equal lengths, and the tightest gaps.
    import Button from '@/kit/button.svelte';
    import type { SetPlan } from '@/lib/plan';

    type Props = { set: SetPlan; onshow: () => void };
    let { set, onshow }: Props = $props();

    const tightest = $derived(set.gaps.slice(0, 6));
</script>

{#if tightest.length > 0 || set.lengths.some((one) => one.runs.length > 1)}
    <section class="sheet p-3" aria-label="Lengths and gaps">
        {#each set.lengths.filter((one) => one.runs.length > 1) as check (check.runs
            .map((run) => run.letter)
            .join())}
            <p class="flex flex-wrap items-baseline gap-x-4">
                <span class="font-label font-semibold {check.holds ? 'text-action' : 'text-stop'}"
                    >{check.holds ? '● Lengths equal' : '✕ Lengths differ'}</span
                >
                <span><span class="label">Spread</span> <span class="figure">{check.spread.text}</span></span>
                <span
                    ><span class="label">{check.hasTarget ? 'Target' : 'Common'}</span>
                    <span class="figure">{check.common.text}</span>
                    <span class="figure text-quiet">± {check.tolerance.text}</span></span
                >
            </p>
        {/each}
        {#if set.insertion}
            <div class="mt-1 flex flex-wrap items-baseline gap-x-4">
                <span
                    class="font-label font-semibold {set.insertion.stuck.length === 0
                        ? 'text-action'
                        : 'text-stop'}"
                    >{set.insertion.stuck.length === 0
                        ? '● Go in one at a time'
                        : '✕ Not all go in whole'}</span
                >
                <ol class="flex flex-wrap gap-x-3">
                    {#each set.insertion.order as step, i (step.run)}
                        <li>
                            <span class="figure">{i + 1} {step.run}</span>
                            <span class="text-quiet text-sm">{step.along}</span>
                        </li>
                    {/each}
                </ol>
                <Button look="quiet" onclick={onshow}>Show it</Button>
            </div>
        {/if}
        {#if tightest.length > 0}
            <table class="table-plain mt-1">
                <thead
                    ><tr><th>Run</th><th>to</th><th class="num">Gap</th><th class="num">Needed</th></tr
                    ></thead
                >
                <tbody>
                    {#each tightest as gap (gap.run + gap.other)}
                        <tr>
                            <td class="figure">{gap.run}</td>
                            <td>{gap.isRun ? `run ${gap.other}` : gap.other}</td>
                            <td class="num figure {gap.kept ? '' : 'text-stop font-medium'}"
                                >{gap.kept ? '' : '✕ '}{gap.gap.text}</td
                            >
                            <td class="num figure text-quiet">{gap.needed.text}</td>
                        </tr>
                    {/each}
                </tbody>
            </table>
        {/if}
    </section>
{/if}
