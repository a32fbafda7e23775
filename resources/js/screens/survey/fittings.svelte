<script lang="ts">
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { FittingKind } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    const fittings = $derived(desk.entered?.fittings ?? []);

    function set(i: number, key: 'station' | 'fromTop', value: string): void {
        void desk.editRun((run) => {
            const fitting = run.fittings[i];
            if (fitting) fitting[key] = value;
        });
    }
    const add = () =>
        desk.editRun((run) =>
            run.fittings.push({ kind: 'oxygen-sensor-bung', station: '11 in', fromTop: 30 }),
        );
    const kinds: { id: FittingKind; name: string }[] = [
        { id: 'oxygen-sensor-bung', name: 'Oxygen-sensor bung' },
        { id: 'temperature-probe', name: 'Temperature probe' },
        { id: 'bracket', name: 'Tab or bracket' },
        { id: 'hanger', name: 'Hanger' },
    ];
    const remove = (i: number) => desk.editRun((run) => run.fittings.splice(i, 1));
</script>

<fieldset class="sheet p-3" disabled={!mayPlan}>
    <legend class="sr-only">Sensors and probes</legend>
    <h2 class="heading mb-1">Sensors and probes</h2>
    {#each fittings as fitting, i (i)}
        <div class="mb-2 flex flex-wrap items-end gap-x-3 gap-y-1">
            <SelectField
                class="w-48"
                label="What"
                value={fitting.kind}
                options={kinds}
                disabled={!mayPlan}
                onchange={(value) => desk.editRun((run) => run.fittings[i] && (run.fittings[i].kind = value))}
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
                label="From the top, clockwise"
                mono
                value={fitting.fromTop}
                error={errorAt(desk.errors, `${desk.path}.fittings[${i}].fromTop`)}
                onchange={(value) => set(i, 'fromTop', value)}
            />
            <Button onclick={() => remove(i)}>Remove</Button>
        </div>
    {/each}
    <Button onclick={add}>Add a sensor</Button>
</fieldset>
