<script lang="ts">
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { lengthText } from '@/lib/length-text';
    import type { Catalogue, FittingKind } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; catalogue: Catalogue; mayPlan: boolean };
    let { desk, catalogue, mayPlan }: Props = $props();

    const fittings = $derived(desk.entered?.fittings ?? []);

    function set(i: number, key: 'station' | 'fromTop' | 'length', value: string): void {
        void desk.editRun((run) => {
            const fitting = run.fittings[i];
            if (fitting) fitting[key] = value;
        });
    }
    const add = () =>
        desk.editRun((run) =>
            run.fittings.push({
                kind: 'oxygen-sensor-bung',
                station: lengthText(desk.run?.hangerAt ?? USUAL_MM, desk.view.units),
                fromTop: 30,
            }),
        );
    /** Before there is a way; our own figure. */
    const USUAL_MM = 280;
    const metals = $derived([{ id: '', name: 'as sold for the tube' }, ...catalogue.metals]);
    const makeOf = (i: number, metal: string) =>
        desk.editRun((run) => {
            const fitting = run.fittings[i];
            if (fitting && metal === '') delete fitting.metal;
            else if (fitting) fitting.metal = metal;
        });
    const kinds: { id: FittingKind; name: string }[] = [
        { id: 'oxygen-sensor-bung', name: 'Oxygen-sensor bung' },
        { id: 'temperature-probe', name: 'Temperature probe' },
        { id: 'bracket', name: 'Tab or bracket' },
        { id: 'hanger', name: 'Hanger' },
        { id: 'crack', name: 'Crack' },
    ];
    /** Only a crack has a length of its own. */
    const become = (i: number, kind: FittingKind) =>
        desk.editRun((run) => {
            const { station, fromTop } = run.fittings[i] ?? { station: '0 in', fromTop: 0 };
            run.fittings[i] = { kind, station, fromTop, ...(kind === 'crack' ? { length: '1 in' } : {}) };
        });
    const remove = (i: number) => desk.editRun((run) => run.fittings.splice(i, 1));
</script>

<fieldset class="sheet p-3" disabled={!mayPlan}>
    <legend class="sr-only">On its side</legend>
    <h2 class="heading mb-1">On its side</h2>
    {#each fittings as fitting, i (i)}
        <div class="mb-2 flex flex-wrap items-end gap-x-3 gap-y-1">
            <SelectField
                class="w-48"
                label="What"
                value={fitting.kind}
                options={kinds}
                disabled={!mayPlan}
                onchange={(value) => become(i, value)}
            />
            <TextField
                class="w-36"
                label="Along the centreline"
                mono
                value={fitting.station}
                error={errorAt(desk.errors, `${desk.path}.fittings[${i}].station`)}
                onchange={(value) => set(i, 'station', value)}
            />
            <TextField
                class="w-36"
                label="From top, clockwise with the flow"
                mono
                value={fitting.fromTop}
                error={errorAt(desk.errors, `${desk.path}.fittings[${i}].fromTop`)}
                onchange={(value) => set(i, 'fromTop', value)}
            />
            {#if fitting.kind !== 'crack'}
                <SelectField
                    class="w-48"
                    label="Its metal"
                    value={fitting.metal ?? ''}
                    options={metals}
                    error={errorAt(desk.errors, `${desk.path}.fittings[${i}].metal`)}
                    disabled={!mayPlan}
                    onchange={(value) => makeOf(i, value)}
                />
            {/if}
            {#if fitting.kind === 'crack'}
                <TextField
                    class="w-36"
                    label="Length, ground out"
                    mono
                    value={fitting.length ?? ''}
                    error={errorAt(desk.errors, `${desk.path}.fittings[${i}].length`)}
                    onchange={(value) => set(i, 'length', value)}
                />
            {/if}
            <Button onclick={() => remove(i)}>Remove</Button>
        </div>
    {/each}
    <Button onclick={add}>Add a sensor, a tab or a crack</Button>
</fieldset>
