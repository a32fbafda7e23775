<script lang="ts">
    // A collector or a turbine flange as one thing: where it is, which way it points, how its inlets stand round it.
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import RunPicker from '@/parts/run-picker.svelte';
    import { change, type Errors } from '@/lib/survey';

    type Props = { desk: JobDesk; open: boolean };
    let { desk, open = $bindable() }: Props = $props();

    const axes = ['rearward', 'right', 'up'];
    const modes = [
        { id: 'any', name: 'any run to any inlet' },
        { id: 'cyclic', name: 'in firing order round the axis' },
        { id: 'fixed', name: 'just as they are named here' },
    ];
    let name = $state('Collector');
    let runs = $state<string[]>([]);
    let at = $state<string[]>(['', '', '']);
    let axis = $state<number[]>([1, 0, 0]);
    let turn = $state('45');
    let gap = $state('2 mm');
    const entries = [
        { id: 'welded', name: 'slip in, welded all round' },
        { id: 'butt', name: 'butt, welded all round' },
        { id: 'slip', name: 'slip joint, not welded' },
    ];
    let assignment = $state('any');
    let entry = $state('welded');
    let errors = $state.raw<Errors>({});
    const error = (key: string) => errors[key]?.[0] ?? '';

    $effect(() => {
        if (!open) return;
        errors = {};
        untrack(propose);
    });

    /** As it stands now, or about where the runs end. */
    function propose(): void {
        const there = desk.plan.set.meeting;
        if (!there) return;
        runs = [...there.runs];
        name = there.name;
        assignment = there.assignment;
        entry = there.entry;
        at = [...there.at];
        axis = [...there.axis];
    }

    async function put(): Promise<void> {
        errors = await change(desk, 'collector', {
            name,
            runs: $state.snapshot(runs),
            at: $state.snapshot(at),
            axis: $state.snapshot(axis),
            turn,
            gap,
            assignment,
            entry,
        });
        if (Object.keys(errors).length === 0) open = false;
    }
</script>

<Dialog
    bind:open
    wide
    title="Where the runs meet"
    text="The middle of the inlets and the way the gas goes on; each run gets its end from them, side by side in a ring."
>
    <form
        class="grid gap-3 sm:grid-cols-3"
        onsubmit={(event) => {
            event.preventDefault();
            void put();
        }}
    >
        <TextField label="Called" value={name} error={error('name')} onchange={(value) => (name = value)} />
        <RunPicker
            label="Runs, in their order round it"
            letters={desk.document.runs.map((run) => run.letter)}
            picked={runs}
            error={error('runs')}
            onchange={(picked) => (runs = picked)}
        />
        <SelectField
            label="Who may enter where"
            value={assignment}
            options={modes}
            onchange={(value) => (assignment = value)}
        />
        <SelectField
            label="Runs enter it"
            value={entry}
            options={entries}
            onchange={(value) => (entry = value)}
        />
        <fieldset class="sm:col-span-3">
            <legend class="label">Middle of the inlets, from the datum</legend>
            <div class="grid grid-cols-3 gap-3">
                {#each axes as label, i (label)}
                    <TextField
                        {label}
                        mono
                        value={at[i] ?? ''}
                        error={error(`at[${i}]`) || (i === 0 ? error('at') : '')}
                        onchange={(value) => (at[i] = value)}
                    />
                {/each}
            </div>
        </fieldset>
        <fieldset class="sm:col-span-3">
            <legend class="label">The gas goes on</legend>
            <div class="grid grid-cols-3 gap-3">
                {#each axes as label, i (label)}
                    <TextField
                        label="on {label}"
                        mono
                        inputmode="decimal"
                        value={axis[i] ?? 0}
                        error={error(`axis[${i}]`) || (i === 0 ? error('axis') : '')}
                        onchange={(value) =>
                            (axis[i] =
                                value.trim() === '' || Number.isNaN(Number(value))
                                    ? (value as unknown as number)
                                    : Number(value))}
                    />
                {/each}
            </div>
        </fieldset>
        <TextField
            label="First inlet from the top, clockwise with the flow"
            mono
            value={turn}
            error={error('turn')}
            onchange={(value) => (turn = value)}
        />
        <TextField
            label="Gap between the tubes"
            mono
            value={gap}
            error={error('gap')}
            onchange={(value) => (gap = value)}
        />
        <Button look="main" type="submit" class="self-end justify-self-start">Set the inlets</Button>
    </form>
</Dialog>
