<script lang="ts">
    // One collector: what comes of it in large figures, how it is made, what is welded before what.
    import type { Catalogue, CollectorPlan } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import FigureCell from '@/parts/figure-cell.svelte';
    import Templates from '@/parts/templates.svelte';
    import CollectorForm from './collector-form.svelte';

    type Props = { desk: JobDesk; catalogue: Catalogue; collector: CollectorPlan; mayPlan: boolean };
    let { desk, catalogue, collector, mayPlan }: Props = $props();

    const ratio = $derived(collector.area);
    const rolled = $derived(
        collector.make === 'bent' || collector.make === 'bought'
            ? []
            : collector.pieces.map((piece) => piece.mark),
    );
</script>

<section class="sheet p-3" aria-label="Collector {collector.letter}">
    <div class="flex items-baseline justify-between gap-3">
        <h2 class="heading">
            {collector.letter} <span class="text-quiet font-normal">{collector.makeLabel}</span>
        </h2>
        <span class="figure text-sm">{collector.inlets} into 1</span>
    </div>
    {#if collector.lack !== ''}
        <p class="text-stop mt-2">✕ {collector.lack}</p>
    {:else}
        <div class="border-line my-2 grid grid-cols-3 gap-3 border-y py-2">
            <p>
                <span class="label block">Inlets to outlet</span>
                <span class="figure text-2xl font-medium max-sm:text-lg">{collector.length.text}</span>
            </p>
            <p>
                <span class="label block">Outlet, pressed round</span>
                <span class="figure text-2xl font-medium max-sm:text-lg">{collector.outletTube.od.text}</span>
            </p>
            <p>
                <span class="label block">Area over one tube</span>
                <span class="figure text-2xl font-medium max-sm:text-lg">{ratio.ratio.toFixed(2)}</span>
                <span class="text-quiet block text-sm">{ratio.says}</span>
            </p>
        </div>
    {/if}
    <dl>
        {#each Object.entries(collector.figures) as [name, figure] (name)}
            <div class="border-line flex items-baseline justify-between gap-3 border-b py-0.5">
                <dt class="text-quiet">{figure.label}</dt>
                <dd><FigureCell {figure} {desk} /></dd>
            </div>
        {/each}
        {#each [['Inlets expanded to', collector.expanded.text], ['Shim while tacking', collector.shim?.text], ['All tubes together over the outlet', collector.lack === '' ? ratio.inlets.toFixed(2) : undefined], ['Straight behind it', collector.straightBehind.text], ['Outlets these tubes can have', collector.outlets ? `${collector.outlets.narrowest.text} – ${collector.outlets.widest.text}` : undefined], ['Mass', collector.pieces.length > 0 ? collector.mass.text : undefined]] as [name, value] (name)}
            {#if value}
                <div class="border-line flex items-baseline justify-between gap-3 border-b py-0.5">
                    <dt class="text-quiet">{name}</dt>
                    <dd class="figure">{value}</dd>
                </div>
            {/if}
        {/each}
    </dl>
    {#if collector.plate}
        <p class="mt-2">
            At so wide an outlet the middle stays open: close it with a plate of {collector.plate.points} points,
            <span class="figure">{collector.plate.across.text}</span> across,
            <span class="figure">{collector.plate.edge.text}</span> round.
            <a
                class="text-action underline underline-offset-4"
                href="/jobs/{desk.view.id}/flange.dxf?of={collector.letter}.plate"
                download>DXF of the plate</a
            >
        </p>
    {/if}
</section>

{#if mayPlan}
    <CollectorForm {desk} {catalogue} {collector} />
{/if}

{#if collector.seams.length > 0}
    <section class="sheet p-3" aria-label="Seams in order">
        <h2 class="heading">What is welded before what</h2>
        <ol class="mt-1">
            {#each collector.seams as seam, i (i)}
                <li class="border-line grid grid-cols-[1.5rem_5rem_1fr_auto] gap-2 border-b py-1">
                    <span class="figure">{i + 1}</span>
                    <span class="figure">{seam.between}–{seam.and}</span>
                    <span class="text-quiet text-sm">{seam.why}</span>
                    <span class="figure">{seam.length.text}</span>
                </li>
            {/each}
            <li class="grid grid-cols-[1.5rem_1fr] gap-2 py-1">
                <span class="figure">{collector.seams.length + 1}</span>
                <span class="text-sm"
                    >Outlet cut and pressed round, {collector.joints.some((joint) => joint.round)
                        ? 'its part welded on a heat-sink plate, '
                        : ''}inlets expanded and trued; only then do the runs go in.</span
                >
            </li>
        </ol>
    </section>
{/if}

{#if collector.heights.length > 0}
    <section class="sheet p-3" aria-label="Scribe heights">
        <h2 class="heading">Scribe heights, mouth on a flat plate</h2>
        <p class="text-quiet text-sm">
            From the outer side of the bend, the same both ways round. A bend cannot be unrolled, so it has no
            wrap template.
        </p>
        <dl class="mt-1 grid grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] gap-x-4">
            {#each collector.heights as row (row.psi)}
                <div class="border-line flex justify-between gap-2 border-b py-0.5">
                    <dt class="figure text-quiet">{row.psi}°</dt>
                    <dd class="figure">{row.height.text}</dd>
                </div>
            {/each}
        </dl>
    </section>
{/if}
{#if collector.quarters.length > 0}
    <section class="sheet p-3" aria-label="Lengthwise cuts">
        <h2 class="heading">Two lengthwise cuts in each blank</h2>
        <ul class="mt-1">
            {#each collector.quarters as cut, i (i)}
                <li class="border-line flex flex-wrap justify-between gap-3 border-b py-1">
                    <span>{i === 0 ? 'First' : 'Pipe turned, then'}</span>
                    <span class="figure">{cut.psi.text} round</span>
                    <span class="figure">from {cut.start.text}</span>
                    <span class="figure">at {cut.angle.text} to the pipe</span>
                </li>
            {/each}
        </ul>
        <p class="text-quiet mt-2 text-sm">
            △ Lengthwise cuts in round pipe are the most dangerous step in the shop: hold it in a sled or a
            vee, never by hand.
        </p>
    </section>
{/if}
{#if rolled.length > 0}
    <Templates {desk} marks={rolled} />
{/if}
