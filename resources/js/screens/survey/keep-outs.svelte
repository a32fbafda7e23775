<script lang="ts">
    // What no tube may come near: entered as simple solids, each kind with its usual clearance.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { Catalogue, KeepOutDocument, LengthText, Triple } from '@/lib/answers';
    import AddKeepOut from './add-keep-out.svelte';
    import type ScanPanel from './scan-panel.svelte';

    type Props = {
        desk: JobDesk;
        catalogue: Catalogue;
        mayPlan: boolean;
        ontapping: (next: { on: string; take: (at: Triple) => void } | null) => void;
    };
    let { desk, catalogue, mayPlan, ontapping }: Props = $props();

    // A part of the page only where something was scanned.
    let Scan = $state.raw<typeof ScanPanel | null>(null);
    $effect(() => {
        if (all[openAt]?.shape === 'mesh')
            void import('./scan-panel.svelte').then((found) => (Scan = found.default));
    });

    let openAt = $state(-1);
    let adding = $state(false);
    const all = $derived(desk.document.set.keepOuts);
    const axes = ['rearward', 'right', 'up'] as const;
    const shapes = [
        { id: 'half-space', name: 'all behind a plane' },
        { id: 'box', name: 'box' },
        { id: 'cylinder', name: 'round bar' },
        { id: 'capsule', name: 'round bar, round ends' },
    ];
    const kindOf = (id: string) => catalogue.keepOutKinds.find((kind) => kind.id === id);
    const err = (i: number, path: string) => errorAt(desk.errors, `set.keepOuts[${i}].${path}`);

    function change(i: number, how: (one: KeepOutDocument) => void): void {
        void desk.edit((document) => {
            const one = document.set.keepOuts[i];
            if (one) how(one);
        });
    }

    function reshape(one: KeepOutDocument, shape: KeepOutDocument['shape']): void {
        one.shape = shape;
        const isBar = shape === 'cylinder' || shape === 'capsule';
        if (isBar) {
            one.to ??= [one.at[0] ?? '0 mm', one.at[1] ?? '0 mm', '300 mm'];
            one.radius ??= '15 mm';
            delete one.direction;
        } else {
            one.direction ??= [1, 0, 0];
            delete one.to;
            delete one.radius;
        }
        if (shape === 'box') one.size ??= ['100 mm', '100 mm', '100 mm'];
        else delete one.size;
    }

    const number = (value: string) =>
        value.trim() === '' || Number.isNaN(Number(value)) ? (value as unknown as number) : Number(value);
</script>

{#snippet triple(
    i: number,
    label: string,
    key: 'at' | 'to' | 'size',
    values: LengthText[],
    names: readonly string[],
)}
    <p class="label pt-6">{label}</p>
    {#each names as name, k (name)}
        <TextField
            label={name}
            mono
            value={values[k] ?? ''}
            error={err(i, `${key}[${k}]`) || (k === 0 ? err(i, key) : '')}
            onchange={(value) =>
                change(i, (one) => (one[key] ??= ['0 mm', '0 mm', '0 mm']) && (one[key]![k] = value))}
        />
    {/each}
{/snippet}

<fieldset class="sheet p-3" disabled={!mayPlan}>
    <legend class="sr-only">Keep clear of</legend>
    <h2 class="heading mb-1">Keep clear of</h2>
    {#each all as one, i (i)}
        <div class="border-line border-t py-1">
            <button
                type="button"
                class="flex w-full flex-wrap items-baseline gap-x-3 py-1 text-left"
                aria-expanded={openAt === i}
                onclick={() => (openAt = openAt === i ? -1 : i)}
            >
                <span class="font-label font-semibold">{one.name}</span>
                <span class="text-quiet">{kindOf(one.kind)?.name ?? one.kind}</span>
                <span class="figure ml-auto text-[0.9rem]"
                    >{one.clearance ?? kindOf(one.kind)?.clearance}</span
                >
                {#if Object.keys(desk.errors).some((path) => path.startsWith(`set.keepOuts[${i}]`))}<span
                        class="text-stop">✕ see inside</span
                    >{/if}
            </button>
            {#if openAt === i}
                <div class="grid gap-x-3 gap-y-2 pb-2 sm:grid-cols-3">
                    <TextField
                        label="Name"
                        value={one.name}
                        error={err(i, 'name')}
                        onchange={(value) => change(i, (it) => (it.name = value))}
                    />
                    <SelectField
                        label="What it is"
                        value={one.kind}
                        options={catalogue.keepOutKinds}
                        disabled={!mayPlan}
                        onchange={(value) => change(i, (it) => (it.kind = value))}
                    />
                    <SelectField
                        label="Shape"
                        value={one.shape}
                        options={one.shape === 'mesh' ? [{ id: 'mesh', name: 'imported mesh' }] : shapes}
                        disabled={!mayPlan || one.shape === 'mesh'}
                        onchange={(value) =>
                            change(i, (it) => reshape(it, value as KeepOutDocument['shape']))}
                    />
                </div>
                {#if one.shape === 'mesh' && Scan && mayPlan}
                    <Scan {desk} name={one.name} {ontapping} />
                {/if}
                <div class="grid grid-cols-[6.5rem_repeat(3,1fr)] items-start gap-x-3 gap-y-2">
                    {@render triple(
                        i,
                        one.shape === 'half-space'
                            ? 'A point of the plane'
                            : one.shape === 'box'
                              ? 'Centre'
                              : one.shape === 'mesh'
                                ? 'Its zero lies'
                                : 'One end',
                        'at',
                        one.at,
                        axes,
                    )}
                    {#if one.to}
                        {@render triple(i, 'Other end', 'to', one.to, ['to rearward', 'to right', 'to up'])}
                    {/if}
                    {#if one.size}
                        {@render triple(i, 'Edges', 'size', one.size, ['along', 'across', 'high'])}
                    {/if}
                    {#if one.direction}
                        <p class="label pt-6">
                            {one.shape === 'box'
                                ? 'The first edge runs'
                                : one.shape === 'mesh'
                                  ? 'Its x axis runs'
                                  : 'Out of it points'}
                        </p>
                        {#each axes as axis, k (axis)}
                            <TextField
                                label="points {axis}"
                                mono
                                inputmode="decimal"
                                value={one.direction[k] ?? 0}
                                error={err(i, `direction[${k}]`) || (k === 0 ? err(i, 'direction') : '')}
                                onchange={(value) =>
                                    change(i, (it) => it.direction && (it.direction[k] = number(value)))}
                            />
                        {/each}
                    {/if}
                    {#if one.radius !== undefined}
                        <span></span>
                        <TextField
                            label="Radius"
                            mono
                            value={one.radius}
                            error={err(i, 'radius')}
                            onchange={(value) => change(i, (it) => (it.radius = value))}
                        />
                        <span></span><span></span>
                    {/if}
                </div>
                <div class="mt-2 grid items-end gap-3 sm:grid-cols-[10rem_1fr_auto]">
                    <TextField
                        label="Clearance; empty for the usual"
                        mono
                        value={one.clearance ?? ''}
                        error={err(i, 'clearance')}
                        onchange={(value) =>
                            change(i, (it) => (it.clearance = value.trim() === '' ? null : value))}
                    />
                    <TextField
                        label="Note"
                        value={one.note ?? ''}
                        error={err(i, 'note')}
                        onchange={(value) => change(i, (it) => (it.note = value))}
                    />
                    <Button
                        look="quiet"
                        onclick={() => {
                            openAt = -1;
                            void desk.edit((document) => document.set.keepOuts.splice(i, 1));
                        }}>Remove</Button
                    >
                </div>
            {/if}
        </div>
    {:else}
        <p class="text-quiet mb-2">
            Nothing yet. A head, a steering shaft, a starter, a frame rail: whatever the tubes must pass.
        </p>
    {/each}
    <Button onclick={() => (adding = true)}>Add something to keep clear of</Button>
</fieldset>
<AddKeepOut {desk} bind:open={adding} onadded={() => (openAt = all.length - 1)} />
