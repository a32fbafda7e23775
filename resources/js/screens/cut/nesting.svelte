<script lang="ts">
    import type { RunPlan } from '@/lib/plan';

    type Props = { run: RunPlan };
    let { run }: Props = $props();
</script>

<section class="grid gap-2 md:grid-cols-2">
    <div class="sheet p-3">
        <h2 class="heading">Stock</h2>
        <table class="table-plain mt-1">
            <thead
                ><tr
                    ><th>Item</th><th class="num">Needed</th><th class="num">On the shelf</th><th class="num"
                        >To buy</th
                    ></tr
                ></thead
            >
            <tbody>
                {#each run.stock as need (need.id)}
                    <tr>
                        <td class="figure text-sm">{need.id}</td>
                        <td class="figure num">{need.needed}</td>
                        <td class="figure num">{need.onShelf}</td>
                        <td class="figure num {need.toBuy > 0 ? 'text-stop font-medium' : ''}"
                            >{need.toBuy > 0 ? `✕ ${need.toBuy}` : '0'}</td
                        >
                    </tr>
                {/each}
            </tbody>
        </table>
    </div>
    <div class="sheet p-3">
        <h2 class="heading">Cut from</h2>
        {#if run.nesting}
            {#each run.nesting.bars as bar, i (i)}
                <p class="label mt-1">
                    Bar {i + 1} of <span class="figure">{bar.length.text}</span>,
                    <span class="figure">{bar.left.text}</span> left
                </p>
                <div class="border-strong flex h-6 border">
                    {#each bar.cuts as cut (cut.mark)}
                        <span
                            class="border-ink bg-tube figure overflow-hidden border-r px-1 text-[0.78rem] leading-5.5"
                            style:width="{(100 * cut.value) / bar.length.value}%">{cut.mark} {cut.text}</span
                        >
                    {/each}
                </div>
            {/each}
            {#if run.nesting.bars.length > 0}
                <p class="text-quiet mt-1 text-sm">
                    {run.nesting.bars.length} bar{run.nesting.bars.length > 1 ? 's' : ''}; no plan needs fewer
                    than {run.nesting.leastBars}.
                </p>
            {/if}
            <ul class="mt-2">
                {#each run.nesting.donors as donor, i (i)}
                    <li class="flex justify-between gap-2 text-sm">
                        <span class="figure">{donor.stock}</span><span
                            ><b class="font-label">{donor.marks.join(', ')}</b> ·
                            <span class="figure">{donor.left.text}</span> left</span
                        >
                    </li>
                {/each}
            </ul>
        {/if}
    </div>
</section>
