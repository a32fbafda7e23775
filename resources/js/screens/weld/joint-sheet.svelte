<script lang="ts">
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Figure, Joint, Sheet } from '@/lib/answers';
    import FigureCell from '@/parts/figure-cell.svelte';

    type Props = { joint: Joint; sheet: Sheet; why: string; desk: JobDesk };
    let { joint, sheet, why, desk }: Props = $props();

    const machine = [
        'rootAmps',
        'pedal',
        'tungsten',
        'cup',
        'stickOut',
        'flow',
        'preflow',
        'postflow',
        'travel',
        'heat',
        'passes',
        'stops',
        'arc',
        'wireLength',
        'wireMass',
        'cool',
        'backing',
    ];
    /** Fill and hold flow go by another name among the settings than in the purge. */
    const purging = $derived({
        flow: sheet.ranges['fillFlow'] ?? '',
        hold: sheet.ranges['holdFlow'] ?? '',
    });
    const purge = ['target', 'fill', 'flow', 'hold', 'keep', 'vent', 'volume', 'changes', 'argon'];
</script>

{#snippet rows(figures: Record<string, Figure>, names: string[], usual: Record<string, string>)}
    <dl>
        {#each names as name (name)}
            {@const figure = figures[name]}
            {#if figure}
                <div class="border-line flex items-baseline justify-between gap-3 border-b py-0.5">
                    <dt class="text-quiet">{figure.label}</dt>
                    <dd class="text-right">
                        <FigureCell {figure} {desk} />
                        {#if usual[name]}<span class="figure text-quiet block text-[0.8rem] leading-tight"
                                >{usual[name]}</span
                            >{/if}
                    </dd>
                </div>
            {/if}
        {/each}
    </dl>
{/snippet}

<section class="sheet p-3" aria-label="Sheet of joint {joint.id}">
    <div class="flex items-baseline justify-between gap-3">
        <h2 class="heading">{joint.id} <span class="text-quiet font-normal">{joint.typeLabel}</span></h2>
        <span class="figure text-sm">{joint.metals}</span>
        <span class="flex gap-3">
            <a
                class="flex min-h-[var(--tap)] min-w-[var(--tap)] items-center underline underline-offset-4"
                href="/jobs/{desk.view.id}/joint-sheets.pdf?joint={joint.id}">Print it</a
            >
            <a
                class="flex min-h-[var(--tap)] min-w-[var(--tap)] items-center underline underline-offset-4"
                href="/jobs/{desk.view.id}/joint-sheets.pdf">Print all</a
            >
        </span>
    </div>
    <p class="text-quiet">{joint.between} to {joint.and}. {why}</p>
    <div class="border-line my-2 grid grid-cols-3 gap-3 border-y py-2">
        {#each ['amps', 'filler', 'wire'] as name (name)}
            {#if sheet.settings[name]}
                <div>
                    <p class="label">{sheet.settings[name].label}</p>
                    <FigureCell figure={sheet.settings[name]} {desk} big />
                    {#if sheet.ranges[name]}<p class="figure text-quiet text-sm">{sheet.ranges[name]}</p>{/if}
                </div>
            {/if}
        {/each}
    </div>
    <div class="grid gap-x-4 sm:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
        <div>
            <h3 class="label">Torch and machine</h3>
            {@render rows(sheet.settings, machine, sheet.ranges)}
        </div>
        <div>
            <h3 class="label">Root and purge</h3>
            {@render rows(sheet.settings, ['root'], {})}
            {#if sheet.isFilled}
                {@render rows(sheet.purge, purge, purging)}
            {:else}
                <p class="mt-1">{sheet.rootWhy}</p>
            {/if}
        </div>
    </div>
    <ul class="border-line mt-2 border-t pt-1.5 text-sm" aria-label="By machine">
        {#each sheet.machine as line, i (i)}<li>{line}</li>{/each}
    </ul>
    {#each sheet.warnings as warning, i (i)}
        <p class="mt-1">△ {warning}</p>
    {/each}
    <p class="border-line text-quiet mt-2 border-t pt-2 text-sm">
        △ Arc: eyes and skin covered. Chromium(VI) and nickel in the fume: draw it off at the arc.
    </p>
</section>
