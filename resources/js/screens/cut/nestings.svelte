<script lang="ts">
    // Which bars and bends the pieces come out of; pieces of other runs stay in sight, but quiet.
    import type { Nesting } from '@/lib/answers';

    type Props = { nestings: Nesting[]; only: string | null };
    let { nestings, only }: Props = $props();

    const isShown = (run: string) => only === null || only === run;
</script>

{#each nestings as nesting (nesting.tube)}
    <section class="sheet p-3" aria-label="Cut from {nesting.tube}">
        <h2 class="heading">Cut from <span class="figure font-normal">{nesting.tube}</span></h2>
        {#each nesting.bars as bar, i (i)}
            {#if bar.cuts.some((cut) => isShown(cut.run))}
                <p class="label mt-1">
                    Bar {i + 1} of <span class="figure">{bar.length.text}</span>,
                    <span class="figure">{bar.left.text}</span> left
                </p>
                <div class="border-strong flex h-6 border">
                    {#each bar.cuts as cut (cut.mark)}
                        <span
                            class="border-ink figure overflow-hidden border-r px-1 text-[0.78rem] leading-5.5 {isShown(
                                cut.run,
                            )
                                ? 'bg-tube'
                                : 'text-quiet'}"
                            style:width="{(100 * cut.value) / bar.length.value}%"
                            title="{cut.mark} {cut.text}">{cut.mark} {cut.text}</span
                        >
                    {/each}
                </div>
            {/if}
        {/each}
        {#if nesting.bars.length > 0}
            <p class="text-quiet mt-1 text-sm">
                {nesting.bars.length} bar{nesting.bars.length > 1 ? 's' : ''} for the job; no plan needs fewer than
                {nesting.leastBars}.
            </p>
        {/if}
        <div class="grid gap-x-6 md:grid-cols-2">
            {#each nesting.donors as donor, i (i)}
                {#if donor.cuts.some((cut) => isShown(cut.run))}
                    <div class="min-w-0">
                        <p class="label mt-2 flex flex-wrap justify-between gap-x-3">
                            <span class="figure">{donor.stock}</span>
                            <span><span class="figure">{donor.left.text}</span> of its bend left in one</span>
                        </p>
                        <div class="border-strong relative h-6 overflow-hidden border">
                            <span
                                class="bg-wash border-quiet absolute inset-y-0 border-x border-dotted"
                                style:left="{(100 * (donor.legs[0] ?? 0)) / donor.length.value}%"
                                style:right="{(100 * (donor.legs[1] ?? 0)) / donor.length.value}%"
                            ></span>
                            {#each donor.cuts as cut (cut.mark)}
                                <span
                                    class="border-ink figure absolute inset-y-0 overflow-hidden border-x px-1 text-[0.78rem] leading-5.5 {isShown(
                                        cut.run,
                                    )
                                        ? 'bg-tube'
                                        : 'text-quiet'}"
                                    style:left="{(100 * cut.from) / donor.length.value}%"
                                    style:width="{(100 * (cut.to - cut.from)) / donor.length.value}%"
                                    title="{cut.mark} of {donor.stock}">{cut.mark}</span
                                >
                            {/each}
                        </div>
                    </div>
                {/if}
            {/each}
        </div>
        {#if nesting.donors.length > 0}
            <p class="text-quiet mt-1 text-sm">
                Bends laid out along their centreline: clamp leg, bend (tinted), pull leg; a donut from where
                it is sawn open.
            </p>
        {/if}
    </section>
{/each}
