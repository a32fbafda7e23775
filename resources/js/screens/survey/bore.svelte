<script lang="ts">
    // The opening of a port, and how the run's tube fits it.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { BoreDocument, BoreShape } from '@/lib/answers';
    import { lengthText } from '@/lib/length-text';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const bore = $derived(desk.entered?.start.bore ?? null);
    const fit = $derived(desk.run?.bore ?? {});
    const shapes: { id: BoreShape; name: string }[] = [
        { id: 'round', name: 'Round' },
        { id: 'oval', name: 'Oval' },
        { id: 'd', name: 'D' },
        { id: 'rectangle', name: 'Rectangle' },
    ];
    type Size = 'width' | 'height' | 'corner' | 'turn';
    const sizes: { key: Size; label: string; shapes: string[] }[] = [
        { key: 'width', label: 'Width', shapes: ['oval', 'd', 'rectangle'] },
        { key: 'width', label: 'Diameter', shapes: ['round'] },
        { key: 'height', label: 'Height', shapes: ['oval', 'd', 'rectangle'] },
        { key: 'corner', label: 'Corner radius', shapes: ['rectangle'] },
        { key: 'turn', label: 'Turned from upright', shapes: ['oval', 'd', 'rectangle'] },
    ];
    const shown = $derived(sizes.filter((one) => one.shapes.includes(bore?.shape ?? '')));

    function set(change: (bore: BoreDocument) => void): void {
        void desk.editRun((run) => run.start.bore && change(run.start.bore));
    }

    function shape(value: BoreShape): void {
        set((one) => {
            one.shape = value;
            if (value !== 'round') one.height ??= one.width;
            if (value === 'rectangle') one.corner ??= 0;
        });
    }

    function everywhere(): void {
        const here = bore;
        void desk.edit((document) => {
            for (const run of document.runs) run.start.bore = structuredClone(here);
        });
    }

    const add = () =>
        void desk.editRun(
            (run) => (run.start.bore = { shape: 'round', width: lengthText(38.1, desk.view.units), turn: 0 }),
        );
    const drop = () => void desk.editRun((run) => (run.start.bore = null));
</script>

{#if bore}
    <div class="flex flex-wrap items-end gap-3">
        <SelectField
            label="Opening"
            class="w-28"
            value={bore.shape}
            options={shapes}
            error={errorAt(desk.errors, `${desk.path}.start.bore.shape`)}
            onchange={shape}
        />
        {#each shown as { key, label } (label)}
            <TextField
                {label}
                class="w-24 grow"
                mono
                value={bore[key] ?? ''}
                error={errorAt(desk.errors, `${desk.path}.start.bore.${key}`)}
                onchange={(value) =>
                    set((one) =>
                        Object.assign(one, {
                            [key]:
                                key === 'turn' && value.trim() !== '' && !Number.isNaN(Number(value))
                                    ? Number(value)
                                    : value,
                        }),
                    )}
            />
        {/each}
    </div>
    <div class="flex flex-wrap items-baseline gap-x-5">
        {#each Object.values(fit) as figure (figure.key)}
            <p title={figure.reason?.rule}>
                <span class="label">{figure.label}</span> <span class="figure">{figure.text}</span>
            </p>
        {/each}
        <div class="ml-auto flex gap-3">
            {#if desk.document.runs.length > 1}
                <Button look="quiet" onclick={everywhere}>Same at every port</Button>
            {/if}
            <Button look="quiet" onclick={drop}>No opening</Button>
        </div>
    </div>
{:else}
    <Button look="quiet" onclick={add}>Enter the port’s opening, to see whether the tube fits it</Button>
{/if}
