<script lang="ts">
    import type { Bottle } from '@/lib/answers';

    type Props = { bottles: Bottle[] };
    let { bottles }: Props = $props();
</script>

<section class="sheet p-3">
    <h2 class="heading">Argon</h2>
    {#each bottles as bottle (bottle.name)}
        <div class="mt-2 grid grid-cols-[1.5rem_1fr] gap-3">
            <div
                class="border-ink relative h-16 rounded-t-full border"
                role="img"
                aria-label="{Math.round(100 * bottle.share)} % full"
            >
                <div class="bg-strong absolute inset-x-0 bottom-0" style:height="{100 * bottle.share}%"></div>
            </div>
            <div>
                <p class="font-label font-semibold">{bottle.name} bottle</p>
                <p class="figure text-sm">{bottle.gauge} on the gauge</p>
                <p class="figure text-sm">{bottle.usable} to use</p>
            </div>
        </div>
    {:else}
        <p class="text-quiet mt-1">No bottles are entered in the shop’s stores.</p>
    {/each}
</section>
