<script lang="ts">
    import type { SmallCard } from '@/lib/answers';
    import FigureCell from '@/parts/figure-cell.svelte';

    let { card }: { card: SmallCard } = $props();

    /** Every working came with the card; a number is overruled once it is a job. */
    const desk = { isDraft: false, why: async () => '', override: async () => {} };
    const sheet = $derived(card.sheet);
    const first = ['amps', 'filler', 'wire'];
    const settings = [
        'rootAmps',
        'pedal',
        'tungsten',
        'cup',
        'stickOut',
        'flow',
        'postflow',
        'passes',
        'wireLength',
        'cool',
    ];
    const purge = ['target', 'flow', 'fill', 'hold', 'keep', 'vent', 'argon'];
</script>

<section class="sheet p-4" aria-label="Settings and purge">
    <h2 class="heading text-xl">{card.title}</h2>
    <p class="text-quiet">{card.joint.typeLabel}, {card.joint.metals}</p>
    {#each card.notices.filter((one) => one.severity === 'problem') as notice, i (i)}
        <p class="text-stop mt-2 font-medium">✕ {notice.message}</p>
    {/each}
    <div class="border-line mt-2 grid grid-cols-3 gap-3 border-y py-3">
        {#each first as name (name)}
            {@const figure = sheet.settings[name]}
            {#if figure}
                <div>
                    <p class="label">{figure.label}</p>
                    <FigureCell {figure} {desk} big />
                    {#if sheet.ranges[name]}<p class="figure text-quiet text-sm">{sheet.ranges[name]}</p>{/if}
                </div>
            {/if}
        {/each}
    </div>
    <div class="mt-2 grid gap-x-6 sm:grid-cols-2">
        {#each [{ head: 'Torch and machine', figures: sheet.settings, names: settings }, { head: 'Purge', figures: sheet.isFilled ? sheet.purge : {}, names: purge }] as part (part.head)}
            <div>
                <h3 class="label">{part.head}</h3>
                <dl>
                    {#each part.names as name (name)}
                        {@const figure = part.figures[name]}
                        {#if figure}
                            <div class="border-line flex min-h-9 items-center justify-between gap-3 border-b">
                                <dt class="text-quiet">{figure.label}</dt>
                                <dd><FigureCell {figure} {desk} /></dd>
                            </div>
                        {/if}
                    {/each}
                </dl>
                {#if part.head === 'Purge' && !sheet.isFilled}<p class="mt-1">{sheet.rootWhy}</p>{/if}
            </div>
        {/each}
    </div>
    {#each sheet.warnings as warning, i (i)}
        <p class="mt-1">△ {warning}</p>
    {/each}
    {#each card.notices.filter((one) => one.severity !== 'problem') as notice, i (i)}
        <p class="mt-1">△ {notice.message}</p>
    {/each}
    <ol class="border-line mt-3 border-t pt-2" aria-label="Step by step">
        {#each card.steps as step, i (i)}
            <li class="mt-1 flex gap-3">
                <span class="figure text-quiet">{i + 1}</span>
                <span
                    ><b class="font-medium">{step.title}</b>
                    <span class="text-quiet">{step.do[0] ?? ''}</span></span
                >
            </li>
        {/each}
    </ol>
    <p class="border-line text-quiet mt-3 border-t pt-2 text-sm">
        △ On a vehicle: battery off, electronics earthed away from the weld, fire watch and extinguisher at
        hand; on stands or a locked lift. Fuel-wet or oily parts are cleaned out first. Arc: eyes and skin
        covered, fume drawn off. Argon suffocates without warning: air the room. Local codes and licensed
        practice come first.
    </p>
</section>
