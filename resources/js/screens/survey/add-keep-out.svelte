<script lang="ts">
    // A ready shape for each kind of thing that stands in the way: from the few sizes a person measures on it.
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { LengthText } from '@/lib/answers';
    import type { Kit } from '@/lib/answers';
    import { addKit, readKits, type Errors, type KitAnswers } from '@/lib/survey';
    import ImportMesh from './import-mesh.svelte';
    import TouchedForm from './touched-form.svelte';

    type Props = { desk: JobDesk; open: boolean; onadded: () => void };
    let { desk, open = $bindable(), onadded }: Props = $props();

    const MESH = 'mesh';
    const TOUCHED = 'touched';
    const axes = ['rearward', 'right', 'up'];
    let kits = $state.raw<Kit[]>([]);
    let kind = $state('');
    let answers = $state<KitAnswers>({});
    let errors = $state.raw<Errors>({});
    const kit = $derived(kits.find((one) => one.kind === kind));

    $effect(() => {
        if (open) untrack(() => void offer());
        else kind = '';
    });

    /** The first of them, unless something was picked before they came. */
    async function offer(): Promise<void> {
        kits = await readKits(desk);
        if (kind === '') choose(kits[0]?.kind ?? '');
    }

    function choose(next: string): void {
        kind = next;
        errors = {};
        const fields = kits.find((one) => one.kind === next)?.fields ?? [];
        answers = Object.fromEntries(
            fields.map((field) => [
                field.key,
                field.proposed.length === 1 ? (field.proposed[0] ?? '') : [...field.proposed],
            ]),
        );
    }

    function set(key: string, i: number | null, text: string, isNumber: boolean): void {
        const value: LengthText =
            isNumber && text.trim() !== '' && !Number.isNaN(Number(text)) ? Number(text) : text;
        const there = answers[key];
        if (i === null || !Array.isArray(there)) answers[key] = value;
        else there[i] = value;
    }

    const error = (key: string) => errors[key]?.[0] ?? '';

    async function add(): Promise<void> {
        errors = await addKit(desk, kind, $state.snapshot(answers) as KitAnswers);
        if (Object.keys(errors).length > 0) return;
        open = false;
        onadded();
    }
</script>

<Dialog
    bind:open
    wide
    title="Something to keep clear of"
    text="Choose what it is; its shape and its usual clearance follow from a few sizes."
>
    <div class="grid gap-4 sm:grid-cols-[14rem_1fr]">
        <ul class="border-line self-start border" aria-label="Kinds">
            {#each [...kits, { kind: TOUCHED, name: 'By touching it' }, { kind: MESH, name: 'A scan or a drawing (STL)' }] as one (one.kind)}
                <li>
                    <button
                        type="button"
                        class="w-full px-3 py-1 text-left {kind === one.kind
                            ? 'bg-action text-on-action'
                            : 'hover:bg-wash'}"
                        aria-pressed={kind === one.kind}
                        onclick={() => choose(one.kind)}>{one.name}</button
                    >
                </li>
            {/each}
        </ul>
        <div>
            {#if kind === MESH}
                <ImportMesh {desk} onadded={() => ((open = false), onadded())} />
            {:else if kind === TOUCHED}
                <TouchedForm {desk} {kits} onadded={() => ((open = false), onadded())} />
            {:else if kit}
                <p class="text-quiet mb-3">{kit.says}</p>
                <form
                    class="grid gap-3 sm:grid-cols-2"
                    onsubmit={(event) => {
                        event.preventDefault();
                        void add();
                    }}
                >
                    {#each kit.fields as field (kit.kind + field.key)}
                        {#if field.proposed.length === 3}
                            {@const values = answers[field.key]}
                            <fieldset class="sm:col-span-2">
                                <legend class="label">{field.label}</legend>
                                <div class="grid grid-cols-3 gap-2">
                                    {#each axes as axis, i (axis)}
                                        <TextField
                                            label={axis}
                                            mono
                                            value={(Array.isArray(values) ? values[i] : '') ?? ''}
                                            error={error(`${field.key}[${i}]`) ||
                                                (i === 0 ? error(field.key) : '')}
                                            onchange={(text) =>
                                                set(field.key, i, text, field.kind === 'direction')}
                                        />
                                    {/each}
                                </div>
                            </fieldset>
                        {:else}
                            {@const value = answers[field.key]}
                            <TextField
                                label={field.label}
                                mono
                                value={Array.isArray(value) ? '' : (value ?? '')}
                                error={error(field.key)}
                                onchange={(text) => set(field.key, null, text, false)}
                            />
                        {/if}
                    {/each}
                    {#if error('')}<p class="text-stop sm:col-span-2" role="alert">✕ {error('')}</p>{/if}
                    <Button look="main" type="submit" class="justify-self-start sm:col-span-2">Add it</Button>
                </form>
            {/if}
        </div>
    </div>
</Dialog>
