<script lang="ts">
    // What the cuts of this job take on each kind of saw.
    import type { SawAccount } from '@/lib/answers';
    import { money } from '@/lib/money';

    type Props = { saws: SawAccount[] };
    let { saws }: Props = $props();

    // Whoever does not quote gets no sums of money.
    const withCost = $derived(saws.some((one) => one.cost !== null));
</script>

{#if saws[0]}
    <section class="sheet p-3" aria-label="Which saw">
        <h2 class="heading">Which saw</h2>
        <p class="text-quiet text-sm">
            <span class="figure">{saws[0].cuts}</span> cuts with deburring; blades and minutes by the shop’s rules.
        </p>
        <table class="table-plain mt-1">
            <thead
                ><tr
                    ><th>Saw</th><th class="num">Time</th><th class="num">Blades</th>{#if withCost}<th
                            class="num">Cost</th
                        >{/if}</tr
                ></thead
            >
            <tbody>
                {#each saws as saw, i (saw.name)}
                    <tr>
                        <td class={i === 0 ? 'font-medium' : ''}>{i === 0 ? '▾ ' : ''}{saw.name}</td>
                        <td class="figure num">{saw.time}</td>
                        <td class="figure num">{saw.blades.toFixed(2)}</td>
                        {#if withCost}<td class="figure num">{money(saw.cost)}</td>{/if}
                    </tr>
                {/each}
            </tbody>
        </table>
    </section>
{/if}
