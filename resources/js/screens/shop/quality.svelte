<script lang="ts">
    // Why joints of the shop were not right, the most frequent first, and what share of them the first few are.
    import type { ShopScreen } from '@/lib/answers';

    type Props = { quality: ShopScreen['quality'] };
    let { quality }: Props = $props();

    const wrong = $derived(quality.causes.reduce((sum, one) => sum + one.count, 0));
    const most = $derived(Math.max(1, ...quality.causes.map((one) => one.count)));
    const tillHere = (i: number) =>
        quality.causes.slice(0, i + 1).reduce((sum, one) => sum + one.count, 0) / Math.max(wrong, 1);
</script>

<section class="sheet p-3" aria-label="Why joints were not right">
    <h2 class="heading">Why joints were not right</h2>
    {#if quality.inspected === 0}
        <p class="text-quiet mt-1">No joint has been inspected yet.</p>
    {:else}
        <p class="mt-1">
            <span class="figure text-xl font-medium">{wrong}</span> of
            <span class="figure">{quality.inspected}</span> inspections ended in more work.
        </p>
        <ol class="mt-2 grid max-w-3xl gap-1">
            {#each quality.causes as cause, i (cause.label)}
                <li class="grid grid-cols-[11rem_1fr_7rem] items-center gap-2">
                    <span>{cause.label}</span>
                    <span class="border-line h-4 border"
                        ><span class="bg-ink block h-full" style:width="{(100 * cause.count) / most}%"
                        ></span></span
                    >
                    <span class="figure text-sm"
                        >{cause.count}
                        <span class="text-quiet">{Math.round(100 * tillHere(i))} %</span></span
                    >
                </li>
            {/each}
        </ol>
        {#if quality.causes.length > 1}<p class="text-quiet mt-1 text-sm">
                Behind each: the share of all up to it.
            </p>{/if}
    {/if}
</section>
