<script lang="ts">
    // What holds for the runs together: equal lengths, and the tightest gaps.
    import Button from '@/kit/button.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Insertion } from '@/lib/answers';
    import { OrderOfRuns } from '@/lib/order-of-runs.svelte';

    type Props = { desk: JobDesk; onshow: (insertion: Insertion) => void };
    let { desk, onshow }: Props = $props();

    const set = $derived(desk.plan.set);
    const order = new OrderOfRuns();
    const insertion = $derived(order.insertion);
    let withStubs = $state(false);

    // After the last of several quick edits.
    $effect(() => {
        const { runs } = desk.plan;
        if (runs.length > 1 && runs.every((run) => run.run)) return order.ask(desk, 350, withStubs);
        order.forget();
    });

    const tightest = $derived(set.gaps.slice(0, 6));
    const nuts = $derived(desk.plan.fit.nuts);
    const tightNut = $derived([...nuts].sort((a, b) => a.swing.value - b.swing.value)[0]);
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
        {#if insertion}
            <div class="mt-1 flex flex-wrap items-baseline gap-x-4">
                <span
                    class="font-label font-semibold {insertion.stuck.length === 0
                        ? 'text-action'
                        : 'text-stop'}"
                    >{insertion.stuck.length === 0 ? '● Go in one at a time' : '✕ Not all go in whole'}</span
                >
                {#each insertion.stuck as one (one.run)}
                    <span class="text-stop">{one.run}: {one.by.join(', ')} in the way</span>
                {/each}
                <ol class="flex flex-wrap gap-x-3">
                    {#each insertion.order as step, i (step.run)}
                        <li>
                            <span class="figure">{i + 1} {step.run}</span>
                            <span class="text-quiet text-sm"
                                >{step.along}{step.tip ? `, tipped ${step.tip.deg}°` : ''}</span
                            >
                        </li>
                    {/each}
                </ol>
                <Button look="quiet" onclick={() => insertion && onshow(insertion)}>Show it</Button>
                <label class="flex items-center gap-2">
                    <input type="checkbox" class="accent-action h-4 w-4" bind:checked={withStubs} />
                    <span>stubs on the flanges already</span>
                </label>
                <p class="text-quiet basis-full text-sm">
                    {#each insertion.alone as one (one.run)}
                        <span class="mr-3"
                            >{one.run}
                            {one.by.length === 0
                                ? 'comes out with the rest in place'
                                : `is held by ${one.by.join(', ')}`}</span
                        >
                    {/each}
                </p>
            </div>
        {:else if order.said}
            <p class="text-quiet mt-1">Whether they go in whole is not known. {order.said}</p>
        {/if}
        {#if set.style.gapSpread || set.style.mirror}
            <p class="mt-1 flex flex-wrap gap-x-5">
                {#if set.style.gapSpread}
                    <span
                        ><span class="label">Mean gaps in the row differ by</span>
                        <span class="figure">{set.style.gapSpread.text}</span></span
                    >
                {/if}
                {#if set.style.mirror}
                    <span
                        ><span class="label">Banks mirror within</span>
                        <span class="figure">{set.style.mirror.text}</span></span
                    >
                {/if}
            </p>
        {/if}
        {#if nuts.length > 0}
            <p class="mt-1">
                <span class="label">A spanner swings</span>
                <span class="figure">{tightNut?.swing.text}</span>
                <span class="text-quiet text-sm"
                    >at the tightest of {nuts.length} nuts, {tightNut?.name}{tightNut &&
                    tightNut.inTheWay.length > 0
                        ? `: beside it ${tightNut.inTheWay.join(', ')}`
                        : ''}</span
                >
            </p>
        {/if}
        {#if desk.plan.fit.closed.length > 0}
            <p class="mt-1">
                <span class="label">No torch gets round these any more once the runs stand together</span>
                {#each desk.plan.fit.closed.slice(0, 6) as seam (seam.joint)}
                    <button
                        type="button"
                        class="mr-3"
                        onclick={() => (desk.selection = { kind: 'joint', id: seam.joint })}
                        ><span class="figure underline decoration-dotted underline-offset-4"
                            >{seam.joint}</span
                        >
                        <span class="text-quiet text-sm">{seam.share.text} beside {seam.by.join(', ')}</span
                        ></button
                    >
                {/each}
                {#if desk.plan.fit.closed.length > 6}<span class="text-quiet text-sm"
                        >and {desk.plan.fit.closed.length - 6} more</span
                    >{/if}
            </p>
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
