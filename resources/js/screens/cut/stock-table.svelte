<script lang="ts">
    // What the whole job takes from the shelf, and what has to be bought: the shelf is counted once.
    import type { CutPlan } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import LessStock from './less-stock.svelte';

    type Props = { cut: CutPlan; desk: JobDesk };
    let { cut, desk }: Props = $props();
</script>

<section class="sheet p-3" aria-label="Stock for the job">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 class="heading">Stock for the whole job</h2>
        <p class={cut.toBuy > 0 ? 'text-stop font-medium' : 'text-quiet'}>
            {cut.toBuy > 0
                ? `✕ ${cut.toBuy} ${cut.toBuy === 1 ? 'piece' : 'pieces'} to buy`
                : '● All of it is on the shelf'}
        </p>
    </div>
    <table class="table-plain mt-1">
        <thead
            ><tr
                ><th>Item</th><th class="num">Needed</th><th class="num">Shelf</th><th class="num">To buy</th
                ></tr
            ></thead
        >
        <tbody>
            {#each cut.stock as need (need.id)}
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
    <LessStock {desk} />
</section>
