<script lang="ts">
    // What the whole job takes out of the stores, and what has to be bought.
    import Button from '@/kit/button.svelte';
    import type { CuttingDesk } from '@/lib/cutting.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { money } from '@/lib/money';
    import { much } from '@/lib/much';
    import LessStock from './less-stock.svelte';

    type Props = { desk: JobDesk; cutting: CuttingDesk; mayPlan: boolean; mayTick: boolean };
    let { desk, cutting, mayPlan, mayTick }: Props = $props();

    const shopping = $derived(cutting.state?.shopping);
    // A draft's plan knows it with every edit.
    const missing = $derived(desk.isDraft ? desk.plan.cut.toBuy : (shopping?.stockToBuy ?? 0));
    /** Wire, gas and parts that are to be bought, where all of the stock is there. */
    const others = $derived((shopping?.rows ?? []).filter((row) => row.toBuy > 0).length);
    const url = $derived(`/jobs/${desk.view.id}`);
    const link =
        'font-label bg-sheet border-strong hover:border-ink flex min-h-[var(--tap)] items-center rounded-[2px] border px-3 text-[0.95rem] font-semibold';
</script>

<section class="sheet p-3" aria-label="Stock for the job">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 class="heading">Out of the stores, and to buy</h2>
        <p class={missing > 0 ? 'text-stop font-medium' : 'text-quiet'}>
            {missing > 0
                ? `✕ ${missing} ${missing === 1 ? 'piece' : 'pieces'} of stock to buy`
                : others > 0
                  ? `● Its tube and bends are on the shelf; ${others} other ${others === 1 ? 'thing is' : 'things are'} to buy`
                  : '● All of it is on the shelf'}
        </p>
    </div>
    {#if shopping}
        <table class="table-plain table-stack mt-1">
            <thead
                ><tr
                    ><th>What</th><th class="num">Needed</th><th class="num">Stores</th><th class="num"
                        >To buy</th
                    ><th class="num">Cost</th></tr
                ></thead
            >
            <tbody>
                {#each shopping.rows as row (row.key)}
                    <tr>
                        <td data-label="What"
                            >{row.name}
                            <span class="text-quiet text-sm">{row.location}</span></td
                        >
                        <td class="figure num" data-label="Needed">{much(row.needed)} {row.unit}</td>
                        <td class="figure num" data-label="Stores">{much(row.fromStores)}</td>
                        <td
                            class="figure num {row.toBuy > 0 ? 'text-stop font-medium' : ''}"
                            data-label="To buy">{row.toBuy > 0 ? `✕ ${much(row.toBuy)}` : '0'}</td
                        >
                        <td class="figure num" data-label="Cost"
                            >{row.toBuy > 0 ? (row.cost === null ? 'ask' : money(row.cost)) : '–'}</td
                        >
                    </tr>
                {/each}
            </tbody>
        </table>
        <div class="mt-2 flex flex-wrap items-center justify-between gap-2">
            <p class="text-quiet text-sm">
                {#if shopping.rows.some((row) => row.cost !== null)}
                    To buy together <b class="figure text-ink">{money(shopping.cost)}</b>{shopping.priced
                        ? ''
                        : ', without what has no price'}
                {/if}
            </p>
            <span class="flex flex-wrap gap-2">
                <a class={link} href="{url}/cut-list.pdf" target="_blank">Cut list on paper</a>
                <a class={link} href="{url}/shopping.pdf" target="_blank">Shopping list</a>
                <a class={link} href="{url}/shopping.csv">As CSV</a>
                <a class={link} href="{url}/labels.pdf" target="_blank">Labels</a>
                {#if mayTick && shopping.rows.some((row) => row.fromStores > 0)}
                    <Button disabled={cutting.busy} onclick={() => cutting.promise()}
                        >Put aside for this job</Button
                    >
                {/if}
            </span>
        </div>
    {:else if cutting.failure}
        <p class="text-stop" role="alert">✕ {cutting.failure}</p>
    {/if}
    {#if mayPlan}<LessStock {desk} />{/if}
</section>
