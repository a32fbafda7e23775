<script lang="ts">
    // The engine's figures, and what the rules of thumb make of them: where to start with length, bore and metal.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { EngineDocument } from '@/lib/answers';
    import FigureCell from '@/parts/figure-cell.svelte';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    const engine = $derived(desk.document.engine ?? null);
    const tuning = $derived(desk.plan.tuning);
    const several = $derived(desk.document.runs.length > 1);
    const fields: { key: keyof EngineDocument; label: string; isText?: boolean }[] = [
        { key: 'cylinderCc', label: 'One cylinder, cm³' },
        { key: 'exhaustOpens', label: 'EVO, ° before BDC' },
        { key: 'peakRpm', label: 'To suit, rpm' },
        { key: 'port', label: 'Port in the head', isText: true },
        { key: 'metalC', label: 'Hottest metal, °C' },
    ];
    const err = (key: string) => errorAt(desk.errors, `engine.${key}`);

    function set(key: keyof EngineDocument, text: string, isText: boolean): void {
        void desk.edit((document) => {
            const one = (document.engine ??= structuredClone(blank));
            const value = text.trim() === '' || Number.isNaN(Number(text)) ? text : Number(text);
            if (isText) one.port = text;
            else if (key === 'metalC' && text.trim() === '') one.metalC = null;
            else Object.assign(one, { [key]: value });
        });
    }

    const blank: EngineDocument = {
        cylinderCc: 500,
        exhaustOpens: 70,
        peakRpm: 6500,
        port: '3 in',
        metalC: null,
    };

    /** All runs equally long at the length the sum gives. */
    function target(): void {
        // As the core shows it: rounded and in the job's units.
        const target = tuning['length']?.text;
        if (!target) return;
        void desk.edit((document) => {
            if (document.set.lengths.length === 0)
                document.set.lengths = [
                    { runs: document.runs.map((run) => run.letter), target, tolerance: 1 },
                ];
            else for (const group of document.set.lengths) group.target = target;
        });
    }
</script>

<fieldset class="sheet p-3" disabled={!mayPlan}>
    <legend class="sr-only">Engine and tuning</legend>
    <h2 class="heading">Engine and tuning</h2>
    {#if engine}
        <div class="mt-2 grid items-end gap-x-3 gap-y-2 sm:grid-cols-5">
            {#each fields as { key, label, isText } (key)}
                <TextField
                    {label}
                    mono
                    value={engine[key] ?? ''}
                    error={err(key)}
                    onchange={(value) => set(key, value, isText === true)}
                />
            {/each}
        </div>
        {#if Object.keys(tuning).length > 0}
            <div class="border-line mt-3 flex flex-wrap items-baseline gap-x-6 gap-y-1 border-t pt-2">
                {#each Object.values(tuning) as figure (figure.key)}
                    <p><FigureCell {figure} {desk} label /></p>
                {/each}
            </div>
            {#if tuning['length'] && several}
                <Button class="mt-2" onclick={target}
                    >Make {tuning['length'].text} the target of all runs</Button
                >
            {/if}
        {:else}
            <p class="text-quiet mt-2">
                The sums are for naturally aspirated headers; with the heat of the metal given, a grade is
                proposed here.
            </p>
        {/if}
    {:else}
        <p class="text-quiet mt-1 mb-2">
            With the cylinder’s volume, the cam and the speed to suit, a starting length and bore are worked
            out.
        </p>
        <Button onclick={() => void desk.edit((document) => (document.engine = structuredClone(blank)))}
            >Enter the engine</Button
        >
    {/if}
</fieldset>
