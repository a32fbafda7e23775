<script lang="ts">
    import type { Argon } from '@/lib/plan';

    type Props = { argon: Argon };
    let { argon }: Props = $props();

    const rows = $derived([
        { name: 'Torch', needs: argon.torch, left: argon.torchLeft },
        { name: 'Purge', needs: argon.purge, left: argon.purgeLeft },
    ]);
</script>

<section class="sheet p-3" aria-label="Argon account">
    <h2 class="heading">Argon for the whole job</h2>
    <div class="mt-1 grid gap-x-8 gap-y-2 sm:grid-cols-2">
        {#each rows as row (row.name)}
            {@const share = row.left.value > 0 ? Math.min(1, row.needs.value / row.left.value) : 1}
            <div>
                <p class="flex justify-between">
                    <span class="font-label font-semibold">{row.name}</span><span class="figure"
                        >{row.needs.text} of {row.left.text} left</span
                    >
                </p>
                <div class="border-strong mt-1 h-3 border">
                    <div
                        class="h-full {row.needs.value > row.left.value ? 'bg-stop' : 'bg-ink'}"
                        style:width="{100 * share}%"
                    ></div>
                </div>
                {#if row.needs.value > row.left.value}<p class="text-stop">
                        ✕ The {row.name.toLowerCase()} bottle cannot finish this job.
                    </p>{/if}
            </div>
        {/each}
    </div>
    <p class="text-quiet mt-2 text-sm">
        △ Argon suffocates without warning and pools low. All of this let into a closed room of <span
            class="figure">{argon.room.text}</span
        > would take it below 19.5 % oxygen, and less in a pit. Air the room.
    </p>
</section>
