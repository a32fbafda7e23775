<script lang="ts">
    // What grows when it is hot, and what hangs on each flange.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import FigureCell from '@/parts/figure-cell.svelte';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const growth = $derived(desk.plan.fit.growth);
    const loops = $derived(growth.loops.filter((one) => one.runs.some((run) => desk.isShown(run))));
    const service = $derived(desk.plan.fit.service.filter((one) => desk.isShown(one.run)));
    const weights = $derived(growth.weights.filter((one) => desk.isShown(one.run)));
    const hung = $derived(growth.hung);
</script>

{#if loops.length > 0 || weights.length > 0}
    <section class="sheet grid gap-x-6 gap-y-2 p-3 md:grid-cols-[1.6fr_1fr]" aria-label="Growth and weight">
        <div class="min-w-0">
            <p class="flex flex-wrap items-baseline gap-x-3">
                <span class="heading">Growth when hot</span>
                <span class="text-quiet">metal at <FigureCell figure={growth.temperature} {desk} /></span>
            </p>
            {#each loops as loop, i (i)}
                <div class="border-line grid grid-cols-[5.5rem_1fr] gap-x-3 border-t py-1">
                    <span class="figure text-lg font-medium">{loop.growth.text}</span>
                    <span class="min-w-0"
                        >{loop.name}
                        <span class="block {loop.taken === '' ? '' : 'text-quiet'}"
                            >{loop.taken === '' ? '△ Nothing gives way.' : `Taken by ${loop.taken}.`}
                            {loop.advice}</span
                        ></span
                    >
                </div>
            {:else}
                <p class="text-quiet">Nothing is tied at both ends.</p>
            {/each}
            {#if service.length > 0}
                <p class="heading mt-3">Comes out again</p>
                {#each service as one (one.run)}
                    <div class="border-line grid grid-cols-[5.5rem_1fr] gap-x-3 border-t py-1">
                        <span class="figure text-lg font-medium {one.comesOut === false ? 'text-stop' : ''}"
                            >{one.comesOut === null ? '…' : one.comesOut ? '✓ ' : '✕ '}{one.run}</span
                        >
                        <span class="min-w-0"
                            >clamped at {one.clamps}
                            <span class="text-quiet block"
                                >{one.comesOut === null
                                    ? 'Being worked out.'
                                    : one.comesOut
                                      ? 'It can be taken out whole with the rest in place.'
                                      : `It does not come out by itself: ${one.by.join(', ')}.`}</span
                            ></span
                        >
                    </div>
                {/each}
            {/if}
        </div>
        <div class="min-w-0">
            <p class="heading">What hangs on its start</p>
            <table class="table-plain">
                <thead
                    ><tr
                        ><th>Run</th><th class="num">Mass</th><th class="num">Out by</th><th class="num"
                            >Moment</th
                        ></tr
                    ></thead
                >
                <tbody>
                    {#each weights as one (one.run)}
                        <tr
                            ><td>{one.run}</td><td class="figure num">{one.mass.text}</td><td
                                class="figure num">{one.arm.text}</td
                            ><td class="figure num">{one.moment.text}</td></tr
                        >
                    {/each}
                </tbody>
            </table>
            {#each weights.filter((one) => one.carried.length > 1) as one (one.run)}
                <p class="text-sm">
                    Run {one.run} is carried by {one.carried
                        .map((who) => `${who.name} ${who.mass.text}`)
                        .join(', ')}.
                </p>
            {/each}
            {#each hung as one, i (i)}
                <p class="text-sm">
                    {one.name} sags <span class="figure">{one.sag.text}</span> at most on its tubes alone when
                    they are hot. A bracket under it carries <span class="figure">{one.load.text}</span>, with
                    bumps
                    <span class="figure">{one.bump.text}</span>.
                </p>
            {/each}
            <p class="text-quiet text-sm">
                Tube and part, until a hanger or a bracket carries it: the vehicle’s mounts, never the header.
                Strap it while it is tacked.
            </p>
        </div>
    </section>
{/if}
