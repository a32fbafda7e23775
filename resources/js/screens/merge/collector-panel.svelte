<script lang="ts">
    // One collector: what comes of it in large figures, how it is made, where it stands, what is welded before what.
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import Button from '@/kit/button.svelte';
    import type { Catalogue, CollectorBuild, CollectorPlan } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import FigureCell from '@/parts/figure-cell.svelte';
    import Templates from '@/parts/templates.svelte';

    type Props = { desk: JobDesk; catalogue: Catalogue; collector: CollectorPlan; mayPlan: boolean };
    let { desk, catalogue, collector, mayPlan }: Props = $props();

    const makes = [
        { id: 'straight', name: 'Straight tube' },
        { id: 'bent', name: 'Merge bends' },
        { id: 'quarters', name: 'Pipe in quarters' },
        { id: 'bought', name: 'Bought' },
    ] as const;
    const axes = ['rearward', 'right', 'up'] as const;
    const index = $derived(
        (desk.document.set?.collectors ?? []).findIndex((one) => one.build?.letter === collector.letter),
    );
    const spec = $derived(desk.document.set?.collectors?.[index]);
    const build = $derived(spec?.build);
    const tubes = $derived(catalogue.tubes.map(({ id, name }) => ({ id, name })));
    const outlets = $derived([{ id: '', name: 'proposed' }, ...tubes]);
    const runs = $derived([
        { id: '', name: 'nothing here' },
        ...desk.document.runs
            .filter((run) => !spec?.runs.includes(run.letter))
            .map((run) => ({ id: run.letter, name: `run ${run.letter}` })),
    ]);
    const parts = [
        { id: '', name: 'nothing' },
        { id: 'v-band', name: 'V-band ring' },
        { id: 'flange', name: 'Flange' },
    ];
    const ratio = $derived(collector.area);
    const chokes = $derived(
        ratio.ratio < ratio.least
            ? 'less than one tube: none wants that'
            : ratio.ratio <= ratio.most + 0.05
              ? 'in the range that chokes'
              : 'wider than the range that chokes',
    );
    const rolled = $derived(
        collector.make === 'bent' || collector.make === 'bought'
            ? []
            : collector.pieces.map((piece) => piece.mark),
    );
    const error = (field: string) => errorAt(desk.errors, `set.collectors[${index}].build.${field}`);

    function change(with_: (build: CollectorBuild) => void): void {
        void desk.edit((document) => {
            const one = document.set?.collectors?.[index]?.build;
            if (one) with_(one);
        });
    }

    function rename(name: string): void {
        void desk.edit((document) => {
            const one = document.set?.collectors?.[index];
            if (one) one.name = name;
        });
    }

    function remove(): void {
        void desk.edit((document) => {
            const all = document.set?.collectors;
            const one = all?.[index];
            if (!all || !one) return;
            if (one.runs.length > 0) delete one.build;
            else all.splice(index, 1);
        });
    }
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
                <span class="label block">Mouths to outlet</span>
                <span class="figure text-2xl font-medium">{collector.length.text}</span>
            </p>
            <p>
                <span class="label block">Outlet, pressed round</span>
                <span class="figure text-2xl font-medium">{collector.outletTube.od.text}</span>
            </p>
            <p>
                <span class="label block">Area over one tube</span>
                <span class="figure text-2xl font-medium">{ratio.ratio.toFixed(2)}</span>
                <span class="text-quiet block text-sm">{chokes}</span>
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
        {#each [['Inlets expanded to', collector.expanded.text], ['Shim while tacking', collector.shim?.text], ['Straight behind it', collector.straightBehind.text], ['Outlets these tubes can have', collector.outlets ? `${collector.outlets.narrowest.text} – ${collector.outlets.widest.text}` : undefined], ['Mass', collector.pieces.length > 0 ? collector.mass.text : undefined]] as [name, value] (name)}
            {#if value}
                <div class="border-line flex items-baseline justify-between gap-3 border-b py-0.5">
                    <dt class="text-quiet">{name}</dt>
                    <dd class="figure">{value}</dd>
                </div>
            {/if}
        {/each}
    </dl>
</section>

{#if mayPlan && build}
    <section class="sheet grid grid-cols-6 gap-3 p-3" aria-label="How it is made">
        <TextField
            class="col-span-3"
            label="Called"
            value={collector.name}
            error={errorAt(desk.errors, `set.collectors[${index}].name`)}
            onchange={rename}
        />
        <SelectField
            class="col-span-3"
            label="Made from"
            value={build.make}
            options={[...makes]}
            onchange={(make) => change((one) => (one.make = make))}
        />
        <SelectField
            class="col-span-2"
            label="Inlets"
            value={String(build.inlets)}
            options={['2', '3', '4', '5', '6'].map((id) => ({ id, name: id }))}
            error={error('inlets')}
            onchange={(value) => change((one) => (one.inlets = Number(value)))}
        />
        <SelectField
            class="col-span-2"
            label="Tube"
            value={build.tube}
            options={tubes}
            error={error('tube')}
            onchange={(value) =>
                change((one) => {
                    one.tube = value;
                    delete one.bend;
                })}
        />
        <SelectField
            class="col-span-2"
            label="Outlet tube"
            value={build.outlet ?? ''}
            options={outlets}
            error={error('outlet')}
            onchange={(value) =>
                change((one) => {
                    if (value === '') delete one.outlet;
                    else one.outlet = value;
                })}
        />
        {#if build.make === 'bent'}
            <SelectField
                class="col-span-6"
                label="Cut from bends"
                value={collector.bend ?? ''}
                options={collector.bends}
                error={error('bend')}
                onchange={(value) => change((one) => (one.bend = value))}
            />
        {/if}
        {#each axes as label, i (label)}
            <TextField
                class="col-span-2"
                label="Mouths, {label}"
                mono
                value={build.at[i] ?? ''}
                error={error(`at[${i}]`)}
                onchange={(value) => change((one) => (one.at[i] = value))}
            />
        {/each}
        {#each axes as label, i (label)}
            <TextField
                class="col-span-2"
                label="Flows {label}"
                mono
                inputmode="decimal"
                value={build.axis[i] ?? 0}
                error={error(`axis[${i}]`) || (i === 0 ? error('axis') : '')}
                onchange={(value) =>
                    change(
                        (one) =>
                            (one.axis[i] =
                                value.trim() === '' || Number.isNaN(Number(value))
                                    ? (value as unknown as number)
                                    : Number(value)),
                    )}
            />
        {/each}
        <TextField
            class="col-span-2"
            label="First inlet from top, °"
            mono
            value={build.turn}
            error={error('turn')}
            onchange={(value) => change((one) => (one.turn = value))}
        />
        <SelectField
            class="col-span-2"
            label="Welded to its outlet"
            value={build.part?.kind ?? ''}
            options={parts}
            onchange={(value) =>
                change((one) => {
                    if (value !== 'v-band' && value !== 'flange') delete one.part;
                    else
                        one.part = {
                            kind: value,
                            name: value === 'flange' ? 'Outlet flange' : 'Outlet ring',
                            metal: desk.document.job.metal,
                            wall: value === 'flange' ? '3/8 in' : '.200 in',
                        };
                })}
        />
        <SelectField
            class="col-span-2"
            label="Behind it begins"
            value={build.into ?? ''}
            options={runs}
            error={error('into')}
            onchange={(value) =>
                change((one) => {
                    if (value === '') delete one.into;
                    else one.into = value;
                })}
        />
        <p class="col-span-6 flex flex-wrap items-center justify-between gap-2">
            <span class="text-quiet text-sm"
                >{(spec?.runs.length ?? 0) > 0
                    ? `Runs ${spec?.runs.join(', ')} end in its inlets and move with it.`
                    : 'No run ends in it; it is made by itself.'}</span
            >
            <Button look="quiet" onclick={remove}
                >{(spec?.runs.length ?? 0) > 0 ? 'Only survey it' : 'Take it out'}</Button
            >
        </p>
    </section>
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
