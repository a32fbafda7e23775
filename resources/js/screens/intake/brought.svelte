<script lang="ts">
    // What the customer brings: pressed, it is brought; then its metal, and whether it has run before.
    import SelectField from '@/kit/select-field.svelte';
    import type { BroughtDocument, Catalogue, IntakeAnswer } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';

    type Props = {
        desk: JobDesk;
        kinds: IntakeAnswer['brought'];
        metals: Catalogue['metals'];
        onchange: (next: BroughtDocument[]) => void;
    };
    let { desk, kinds, metals, onchange }: Props = $props();

    const all = $derived(desk.document.intake?.brought ?? []);
    const isHere = (id: string) => all.some((one) => one.what === id);

    function press(id: string): void {
        if (isHere(id)) onchange(all.filter((one) => one.what !== id));
        else onchange([...all, { what: id as BroughtDocument['what'] }]);
    }

    function change(i: number, by: Partial<Record<'metal' | 'used', string | boolean>>): void {
        onchange(
            all.map((one, at) => {
                if (at !== i) return one;
                const { metal, used } = { metal: one.metal, used: one.used, ...by };
                return {
                    what: one.what,
                    ...(metal ? { metal: String(metal) } : {}),
                    ...(used ? { used: true as const } : {}),
                };
            }),
        );
    }
</script>

<fieldset>
    <legend class="label">The customer brings</legend>
    <div class="mt-0.5 flex flex-wrap gap-1">
        {#each kinds as kind (kind.id)}
            <button
                type="button"
                aria-pressed={isHere(kind.id)}
                class="min-h-(--tap) rounded-[2px] border px-3 leading-tight {isHere(kind.id)
                    ? 'bg-wash border-action border-2 font-semibold'
                    : 'bg-sheet border-strong'}"
                onclick={() => press(kind.id)}>{kind.name}</button
            >
        {/each}
    </div>
    {#each all as one, i (one.what)}
        {@const name = kinds.find(({ id }) => id === one.what)?.name ?? one.what}
        <div class="mt-2 flex flex-wrap items-end gap-3">
            <SelectField
                label="{name}: metal"
                class="w-56 max-w-full"
                value={one.metal ?? ''}
                options={[{ id: '', name: 'not known' }, ...metals]}
                error={errorAt(desk.errors, `intake.brought[${i}].metal`)}
                onchange={(metal) => change(i, { metal })}
            />
            <label class="tap flex items-center gap-2">
                <input
                    type="checkbox"
                    checked={one.used === true}
                    onchange={(event) => change(i, { used: event.currentTarget.checked })}
                />
                has run before
            </label>
        </div>
    {/each}
</fieldset>
