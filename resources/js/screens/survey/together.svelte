<script lang="ts">
    // What holds for several runs together: who may enter the collector where, and equal lengths.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { CollectorDocument, SetDocument } from '@/lib/answers';
    import RunPicker from '@/parts/run-picker.svelte';
    import { change as changed } from '@/lib/survey';
    import CollectorDialog from './collector-dialog.svelte';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    const letters = $derived(desk.document.runs.map((run) => run.letter));
    const set = $derived(desk.document.set);
    const modes = [
        { id: 'fixed', name: 'each to the inlet entered for it' },
        { id: 'any', name: 'any run to any inlet' },
        { id: 'cyclic', name: 'in firing order round the axis' },
    ];

    function change(how: (set: SetDocument) => void): void {
        void desk.edit((document) => {
            how(document.set);
        });
    }
    const collector = (i: number, how: (one: CollectorDocument) => void) =>
        change((one) => one.collectors[i] && how(one.collectors[i]));
    let placing = $state(false);
    let firing = $state<string[]>([]);
    let failure = $state('');
    const isTurbo = $derived(desk.document.job.purpose === 'turbo-manifold');

    async function pair(name: string, order: string): Promise<void> {
        failure =
            Object.values(await changed(desk, 'scrolls', { collector: name, firing: order }))[0]?.[0] ?? '';
    }
</script>

<fieldset class="sheet space-y-3 p-3" disabled={!mayPlan}>
    <legend class="sr-only">Runs together</legend>
    <h2 class="heading">Runs together</h2>
    {#each set.collectors as one, i (i)}
        <div class="grid gap-x-3 gap-y-2 sm:grid-cols-[1fr_1fr_auto]">
            <TextField
                label="Collector"
                value={one.name}
                error={errorAt(desk.errors, `set.collectors[${i}].name`)}
                onchange={(value) => collector(i, (it) => (it.name = value))}
            />
            <RunPicker
                label="Its inlets in their order round it"
                {letters}
                picked={one.runs}
                error={errorAt(desk.errors, `set.collectors[${i}].runs`) ||
                    errorAt(desk.errors, `set.collectors[${i}].runs[${one.runs.length - 1}]`)}
                onchange={(picked) => collector(i, (it) => (it.runs = picked))}
            />
            <Button class="self-end" look="quiet" onclick={() => change((it) => it.collectors.splice(i, 1))}
                >Remove</Button
            >
            <SelectField
                label="Who may enter where"
                value={one.assignment}
                options={modes}
                disabled={!mayPlan}
                onchange={(value) =>
                    collector(i, (it) => {
                        it.assignment = value as CollectorDocument['assignment'];
                        if (value === 'cyclic' && it.firing.length === 0) it.firing = [...it.runs];
                    })}
            />
            {#if one.assignment === 'cyclic'}
                <RunPicker
                    label="Firing order"
                    letters={one.runs}
                    picked={one.firing}
                    error={errorAt(desk.errors, `set.collectors[${i}].firing`)}
                    onchange={(picked) => collector(i, (it) => (it.firing = picked))}
                />
            {/if}
            {#if isTurbo && one.runs.length >= 4 && one.runs.length % 2 === 0}
                <div class="flex items-end gap-3 sm:col-span-3">
                    <RunPicker
                        label="Twin scroll? Runs in firing order"
                        letters={one.runs}
                        picked={firing}
                        error={failure}
                        onchange={(picked) => (firing = picked)}
                    />
                    <Button onclick={() => pair(one.name, firing.join(' '))}>Pair into two scrolls</Button>
                </div>
            {/if}
        </div>
    {/each}
    {#each set.lengths as one, i (i)}
        <div class="grid gap-3 sm:grid-cols-[1fr_1fr_7rem_auto]">
            <RunPicker
                label="Equally long"
                {letters}
                picked={one.runs}
                error={errorAt(desk.errors, `set.lengths[${i}].runs`)}
                onchange={(picked) => change((it) => it.lengths[i] && (it.lengths[i].runs = picked))}
            />
            <TextField
                label="Length; empty for any"
                mono
                value={one.target ?? ''}
                error={errorAt(desk.errors, `set.lengths[${i}].target`)}
                onchange={(value) =>
                    change(
                        (it) => it.lengths[i] && (it.lengths[i].target = value.trim() === '' ? null : value),
                    )}
            />
            <TextField
                label="Within, %"
                mono
                inputmode="decimal"
                value={one.tolerance}
                error={errorAt(desk.errors, `set.lengths[${i}].tolerance`)}
                onchange={(value) =>
                    change(
                        (it) => it.lengths[i] && (it.lengths[i].tolerance = Number(value.replace('%', ''))),
                    )}
            />
            <Button class="self-end" look="quiet" onclick={() => change((it) => it.lengths.splice(i, 1))}
                >Remove</Button
            >
        </div>
    {/each}
    <div class="flex flex-wrap gap-2">
        <Button onclick={() => (placing = true)}>Runs meet in a collector</Button>
        <Button
            onclick={() =>
                change((it) =>
                    it.collectors.push({
                        name: `Collector ${it.collectors.length + 1}`,
                        runs: letters.filter(
                            (letter) => !it.collectors.some((one) => one.runs.includes(letter)),
                        ),
                        assignment: 'any',
                        firing: [],
                    }),
                )}>They meet where they end</Button
        >
        {#if set.lengths.length === 0}
            <Button
                onclick={() =>
                    change((it) => it.lengths.push({ runs: [...letters], target: null, tolerance: 1 }))}
                >Make runs equally long</Button
            >
        {/if}
    </div>
</fieldset>
<CollectorDialog {desk} bind:open={placing} />
