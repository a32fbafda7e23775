<script lang="ts">
    import type { Argon } from '@/lib/answers';

    type Props = { argon: Argon; changes: string[] };
    let { argon, changes }: Props = $props();
</script>

<section class="sheet p-3" aria-label="Argon account">
    <h2 class="heading">Argon for the whole job</h2>
    <div class="mt-1 grid gap-x-8 gap-y-2 sm:grid-cols-2">
        {#each argon.lines as line (line.name)}
            <div>
                <p class="flex flex-wrap justify-between gap-x-3">
                    <span class="font-label font-semibold">{line.name}</span><span class="figure"
                        >{line.needs.text} of {line.left.text} left</span
                    >
                </p>
                <div class="border-strong mt-1 h-3 border">
                    <div
                        class="h-full {line.short ? 'bg-stop' : 'bg-ink'}"
                        style:width="{100 * line.share}%"
                    ></div>
                </div>
                {#if line.short}<p class="text-stop">✕ {line.short}</p>{/if}
            </div>
        {/each}
    </div>
    {#each changes as change, i (i)}<p class="mt-1">△ {change}</p>{/each}
    <p class="text-quiet mt-2 text-sm">
        Needed: for every joint of this plan. Left: what the bottles give by their gauges as last read.
    </p>
    <p class="text-quiet text-sm">△ {argon.caution}</p>
</section>
