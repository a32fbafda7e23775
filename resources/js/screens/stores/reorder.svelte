<script lang="ts">
    import type { StoreItem } from '@/lib/answers';
    import { money } from '@/lib/money';
    import { much } from '@/lib/much';

    type Props = { items: StoreItem[]; onopen: (item: StoreItem) => void };
    let { items, onopen }: Props = $props();

    const cost = $derived(items.reduce((sum, item) => sum + (item.cost ?? 0) * item.toReorder, 0));
</script>

<section class="sheet p-3" aria-label="To order">
    <h2 class="heading">To order <span class="figure text-quiet text-sm">{items.length}</span></h2>
    {#if items.length === 0}
        <p class="text-quiet mt-1">Nothing has run low.</p>
    {:else}
        <ul class="divide-line mt-1 divide-y">
            {#each items as item (item.id)}
                <li class="flex items-baseline justify-between gap-3 py-1">
                    <button
                        type="button"
                        class="min-w-0 text-left underline decoration-dotted underline-offset-4"
                        onclick={() => onopen(item)}>{item.name}</button
                    >
                    <span class="figure text-stop shrink-0 font-medium">△ {much(item.toReorder)}</span>
                </li>
            {/each}
        </ul>
        <p class="mt-2 flex flex-wrap items-baseline justify-between gap-2">
            <a class="text-action underline underline-offset-4" href="/stores/reorder.csv"
                >Order list as CSV</a
            >
            <span>about <b class="figure">{money(cost)}</b></span>
        </p>
    {/if}
</section>
