<script lang="ts">
    // A customer's written procedures: what they ask for comes before every proposal.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { ProcedureDocument, SeamKind } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const SEAMS: { id: SeamKind; name: string }[] = [
        { id: 'all', name: 'every seam' },
        { id: 'butts', name: 'butts' },
        { id: 'fillets', name: 'fillets' },
        { id: 'seals', name: 'inside seals' },
        { id: 'merges', name: 'merge seams and saddles' },
    ];
    const SETTINGS = [
        ['filler', 'Filler'],
        ['wire', 'Wire'],
        ['amps', 'Amps'],
        ['tungsten', 'Tungsten'],
        ['cup', 'Gas lens cup'],
        ['flow', 'Torch gas'],
        ['postflow', 'Post-flow'],
        ['travel', 'Travel'],
        ['oxygen', 'Oxygen at most'],
        ['fillFlow', 'Fill flow'],
        ['holdFlow', 'Weld purge flow'],
    ] as const;

    const procedures = $derived(desk.document.procedures ?? []);
    const error = (path: string) => desk.errors[path]?.[0] ?? '';
    let name = $state('');
    let filler = $state('');

    const change = (edit: (all: ProcedureDocument[]) => void) =>
        desk.edit((document) => {
            const all = document.procedures ?? [];
            edit(all);
            if (all.length === 0) delete document.procedures;
            else document.procedures = all;
        });

    async function add(): Promise<void> {
        if (name.trim() === '' || filler.trim() === '') return;
        await change((all) =>
            all.push({ name: name.trim(), seams: 'all', settings: { filler: filler.trim() } }),
        );
        name = filler = '';
    }

    function put(i: number, key: (typeof SETTINGS)[number][0], value: string): void {
        void change((all) => {
            const { settings } = all[i] ?? {};
            if (!settings) return;
            if (value.trim() === '') delete settings[key];
            else settings[key] = value.trim();
        });
    }
</script>

<section class="sheet p-3" aria-label="Written procedures">
    <h2 class="heading">Customer’s written procedures</h2>
    {#each procedures as procedure, i (i)}
        <div class="border-line mt-2 border-t pt-2">
            <div class="flex flex-wrap items-end gap-2">
                <TextField
                    label="Procedure"
                    class="w-44"
                    value={procedure.name}
                    error={error(`procedures[${i}].name`)}
                    onchange={(next) =>
                        void change((all) => {
                            const one = all[i];
                            if (one) one.name = next;
                        })}
                />
                <SelectField
                    label="For"
                    class="w-44"
                    value={procedure.seams ?? 'all'}
                    options={SEAMS}
                    onchange={(seams) =>
                        void change((all) => {
                            const one = all[i];
                            if (one) one.seams = seams;
                        })}
                />
                <Button onclick={() => void change((all) => all.splice(i, 1))}>Take it away</Button>
            </div>
            <div class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
                {#each SETTINGS as [key, label] (key)}
                    <TextField
                        {label}
                        mono
                        value={procedure.settings[key] ?? ''}
                        error={error(`procedures[${i}].settings.${key}`)}
                        onchange={(next) => put(i, key, next)}
                    />
                {/each}
            </div>
        </div>
    {:else}
        <p class="text-quiet">None. What one asks for counts before every proposal, and is marked WPS.</p>
    {/each}
    {#if desk.isDraft}
        <form
            class="border-line mt-2 flex flex-wrap items-end gap-2 border-t pt-2"
            onsubmit={(event) => {
                event.preventDefault();
                void add();
            }}
        >
            <TextField
                label="Another one"
                class="w-44"
                value={name}
                oninput={(event) => (name = event.currentTarget.value)}
            />
            <TextField
                label="Its filler"
                class="w-32"
                mono
                value={filler}
                oninput={(event) => (filler = event.currentTarget.value)}
            />
            <Button type="submit">Add it</Button>
        </form>
    {/if}
</section>
