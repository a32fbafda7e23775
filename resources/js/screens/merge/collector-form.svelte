<script lang="ts">
    // How a collector is made and where it stands, as it is entered.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Catalogue, CollectorBuild, CollectorPlan } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; catalogue: Catalogue; collector: CollectorPlan };
    let { desk, catalogue, collector }: Props = $props();

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
        { id: '', name: 'nothing' },
        ...desk.document.runs
            .filter((run) => !spec?.runs.includes(run.letter))
            .map((run) => ({ id: run.letter, name: `run ${run.letter}` })),
    ]);
    const parts = [
        { id: '', name: 'nothing' },
        { id: 'v-band', name: 'V-band ring' },
        { id: 'flange', name: 'Flange' },
    ];
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

{#if build}
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
