<script lang="ts">
    // What a class, the road or the vehicle asks of where open ends lie.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { OutletDocument } from '@/lib/answers';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    const outlets = $derived(desk.document.set.outlets ?? []);
    const axes = (['rearward', 'right', 'up'] as const).map((id) => ({ id, name: id }));
    const ready: { name: string; limit: OutletDocument }[] = [
        {
            name: 'Outside a panel',
            limit: { name: 'Ends outside the panel', axis: 'right', least: '700 mm' },
        },
        {
            name: 'Stick-out',
            limit: { name: 'Class: most it may stick out', axis: 'right', most: '750 mm' },
        },
        {
            name: 'Behind a wheel',
            limit: { name: 'Not ahead of the driven tyre', axis: 'rearward', least: '1200 mm' },
        },
        { name: 'Above the ground', limit: { name: 'Clear of the ground', axis: 'up', least: '-350 mm' } },
    ];

    function change(how: (outlets: OutletDocument[]) => void): void {
        void desk.edit((document) => {
            const all = document.set.outlets ?? [];
            how(all);
            document.set.outlets = all;
        });
    }
    const err = (i: number, key: string) => errorAt(desk.errors, `set.outlets[${i}].${key}`);
</script>

{#if mayPlan || outlets.length > 0}
    <fieldset class="sheet space-y-2 p-3" disabled={!mayPlan}>
        <legend class="sr-only">Where open ends may lie</legend>
        <h2 class="heading">Where open ends may lie</h2>
        {#each outlets as one, i (i)}
            <div
                class="border-line grid items-end gap-x-3 gap-y-1 border-b pb-2 sm:grid-cols-[1fr_1fr_1fr_auto]"
            >
                <TextField
                    label="For"
                    class="sm:col-span-4"
                    value={one.name}
                    error={err(i, 'name')}
                    onchange={(value) => change((all) => all[i] && (all[i].name = value))}
                />
                <SelectField
                    label="Measured"
                    value={one.axis}
                    options={axes}
                    error={err(i, 'axis')}
                    onchange={(value) => change((all) => all[i] && (all[i].axis = value))}
                />
                {#each ['least', 'most'] as const as key (key)}
                    <TextField
                        label={key === 'least' ? 'No less than' : 'No more than'}
                        mono
                        value={one[key] ?? ''}
                        error={err(i, key)}
                        onchange={(value) =>
                            change((all) => {
                                const it = all[i];
                                if (!it) return;
                                if (value.trim() === '') delete it[key];
                                else it[key] = value;
                            })}
                    />
                {/each}
                <Button look="quiet" onclick={() => change((all) => all.splice(i, 1))}>Remove</Button>
            </div>
        {/each}
        {#if outlets.length === 0}
            <p class="text-quiet">
                Class rules, the road and the panel, from the datum. Ends in a collector are left alone; what
                an open end blows at is looked for in any case.
            </p>
        {/if}
        <div class="flex flex-wrap gap-2">
            {#each ready as { name, limit } (name)}
                <Button onclick={() => change((all) => all.push(structuredClone(limit)))}>{name}</Button>
            {/each}
        </div>
        <p class="text-quiet text-sm">
            Your class rules and local law come first; these only remind you of them.
        </p>
    </fieldset>
{/if}
