<script lang="ts">
    // In which order whole runs go in; asked for once the runs stand, as it takes longer than a plan.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { OrderOfRuns } from '@/lib/order-of-runs.svelte';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const order = new OrderOfRuns();
    const insertion = $derived(order.insertion);

    $effect(() => order.ask(desk, 100));
</script>

{#if insertion}
    <section class="sheet p-3" aria-label="Order of the runs">
        <h2 class="heading">Runs go in in this order</h2>
        <ol class="mt-1 flex flex-wrap gap-x-5 gap-y-1">
            {#each insertion.order as step, i (step.run)}
                <li>
                    <button
                        type="button"
                        class="flex items-baseline gap-2"
                        onclick={() => desk.choose(step.run)}
                    >
                        <span class="figure text-2xl leading-tight font-medium">{i + 1}</span>
                        <span class="font-label text-lg font-semibold">{step.run}</span>
                        <span class="text-quiet"
                            >{step.along}{step.tip ? `, tipped ${step.tip.deg}° on the way` : ''}</span
                        >
                    </button>
                </li>
            {/each}
        </ol>
        {#each insertion.stuck as one (one.run)}
            <p class="text-stop">
                ✕ {one.run} does not go in whole: {one.by.join(', ')} in the way. Leave one of its joints open until
                it is in place.
            </p>
        {/each}
        <p class="text-quiet mt-1 text-sm">
            Whole, past those already in place. Held on a trial: tacked to flange and collector, to hold both.
        </p>
    </section>
{:else if order.said}
    <p class="sheet text-quiet p-3">The order in which runs go in is not known. {order.said}</p>
{/if}
