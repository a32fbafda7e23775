<script lang="ts">
    // One flange as it is cut from plate: laid round its port and its studs, or as it was measured and drawn.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import type { FlangePlate } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { change } from '@/lib/survey';
    import FigureCell from '@/parts/figure-cell.svelte';

    type Props = { desk: JobDesk; flange: FlangePlate; mayPlan: boolean };
    let { desk, flange, mayPlan }: Props = $props();

    const units = [
        { id: '', name: 'as the drawing says' },
        { id: 'mm', name: 'millimetres' },
        { id: 'inch', name: 'inches' },
    ] as const;
    let unit = $state<'' | 'mm' | 'inch'>('');
    let failure = $state('');

    async function take(file: File | undefined): Promise<void> {
        if (!file) return;
        await put(await file.text());
    }

    async function put(dxf: string): Promise<void> {
        const errors = await change(desk, 'flange', { of: flange.id, dxf, unit });
        failure = Object.values(errors)[0]?.[0] ?? '';
    }
</script>

<section class="sheet p-3" aria-label="Flange {flange.id}">
    <div class="flex items-baseline justify-between gap-3">
        <h2 class="heading">{flange.name}</h2>
        <span class="figure text-sm">run {flange.id.replace('.', ', ')}</span>
    </div>
    <div class="border-line my-2 grid grid-cols-[1.8fr_1fr_1fr] gap-3 border-y py-2">
        <p>
            <span class="label block">Across × up</span>
            <span class="figure text-lg font-medium whitespace-normal"
                >{flange.width.text} × {flange.height.text}</span
            >
        </p>
        <p>
            <span class="label block">{flange.isBand ? 'Along the tube' : 'Plate'}</span>
            <span class="figure text-lg font-medium">{flange.thickness.text}</span>
        </p>
        <p>
            <span class="label block">Holes</span>
            <span class="figure text-lg font-medium"
                >{flange.holes.length === 0 ? 'none' : `${flange.holes.length} × ${flange.holes[0]}`}</span
            >
        </p>
    </div>
    {#if flange.guidance !== ''}<p class="mb-2">△ {flange.guidance}</p>{/if}
    <dl>
        {#each flange.isDrawn ? [] : [flange.fit, ...flange.figures] as figure (figure.key)}
            <div class="border-line flex items-baseline justify-between gap-3 border-b py-0.5">
                <dt class="text-quiet">{figure.label}</dt>
                <dd><FigureCell {figure} {desk} /></dd>
            </div>
        {/each}
    </dl>
    <p class="mt-2 flex flex-wrap items-center justify-between gap-3">
        <span class="text-quiet text-sm"
            >{flange.isDrawn
                ? 'As it was drawn.'
                : flange.isBand
                  ? 'The blank of a ring. Its cone and face are turned to the clamp it is for.'
                  : 'Laid round its port and its studs, which Survey has.'}</span
        >
        <a
            class="tap text-action flex items-center underline underline-offset-4"
            href="/jobs/{desk.view.id}/flange.dxf?of={flange.id}"
            download>DXF to cut it by</a
        >
    </p>
    {#if flange.isBand}
        <p class="text-quiet text-sm">A bought ring needs none of this.</p>
    {/if}
    <p class="text-quiet text-sm">True shape in millimetres; the kerf is left to the cutter.</p>
</section>

{#if mayPlan}
    <section class="sheet grid grid-cols-2 gap-3 p-3" aria-label="A measured flange">
        <label class="col-span-2">
            <span class="label block">Read a drawing: closed outline and holes, seen with the flow</span>
            <input
                type="file"
                accept=".dxf"
                onchange={(event) => {
                    void take(event.currentTarget.files?.[0]);
                    event.currentTarget.value = '';
                }}
            />
        </label>
        <SelectField
            label="One unit of it is"
            value={unit}
            options={[...units]}
            onchange={(value) => (unit = value)}
        />
        {#if flange.isDrawn}
            <Button look="quiet" class="self-end justify-self-start" onclick={() => put('')}
                >Lay it out from its sizes</Button
            >
        {/if}
        {#if failure !== ''}<p class="text-stop col-span-2">✕ {failure}</p>{/if}
    </section>
{/if}
