<script lang="ts">
    // A scan or a drawing as a keep-out. STL files say neither their unit nor which way is up, so both are asked.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { addKeepOut, importMesh } from '@/lib/survey';

    type Props = { desk: JobDesk; onadded: () => void };
    let { desk, onadded }: Props = $props();

    let file = $state.raw<File | null>(null);
    let unit = $state('mm');
    let up = $state('z');
    let failure = $state('');
    let busy = $state(false);
    const units = [
        { id: 'mm', name: 'millimetres' },
        { id: 'cm', name: 'centimetres' },
        { id: 'm', name: 'metres' },
        { id: 'inch', name: 'inches' },
    ];
    const ups = [
        { id: 'z', name: 'z is up' },
        { id: 'y', name: 'y is up' },
        { id: 'x', name: 'x is up' },
    ];

    async function add(): Promise<void> {
        if (!file) return;
        busy = true;
        const mesh = await importMesh(desk, file, unit, up);
        busy = false;
        if (typeof mesh === 'string') {
            failure = mesh;
            return;
        }
        const names = desk.document.set.keepOuts.map((one) => one.name);
        const base =
            file.name
                .replace(/\.stl$/i, '')
                .replace(/[^\p{L}\p{N} ._-]+/gu, ' ')
                .trim()
                .slice(0, 50) || 'Scan';
        let name = base;
        for (let n = 2; names.includes(name); n++) name = `${base} ${n}`;
        await addKeepOut(desk, {
            name,
            kind: 'block',
            shape: 'mesh',
            at: ['0 mm', '0 mm', '0 mm'],
            direction: [1, 0, 0],
            mesh: mesh.fingerprint,
            clearance: null,
            note: '',
        });
        onadded();
    }
</script>

<p class="text-quiet mb-3">
    An STL file of the part, binary or text, up to 100,000 triangles and 20 MB. Gaps are measured to its
    triangles themselves; what is drawn is a coarser likeness.
</p>
<div class="space-y-3">
    <div>
        <label class="label block" for="stl-file">STL file</label>
        <input
            id="stl-file"
            type="file"
            accept=".stl,model/stl"
            class="w-full"
            onchange={(event) => {
                file = event.currentTarget.files?.[0] ?? null;
                failure = '';
            }}
        />
    </div>
    <div class="grid grid-cols-2 gap-2">
        <SelectField label="Drawn in" value={unit} options={units} onchange={(value) => (unit = value)} />
        <SelectField label="In the file" value={up} options={ups} onchange={(value) => (up = value)} />
    </div>
    {#if failure}<p class="text-stop" role="alert">✕ {failure}</p>{/if}
    <Button look="main" disabled={!file || busy} onclick={add}>{busy ? 'Reading…' : 'Add it'}</Button>
</div>
