<script lang="ts">
    // The studs of a flange: every nut gets room for its socket, which no tube may enter.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { BoltsDocument } from '@/lib/answers';

    type Props = { desk: JobDesk; side: 'start' | 'end' };
    let { desk, side }: Props = $props();

    const bolts = $derived(desk.entered?.[side].bolts ?? null);
    const fields: { key: keyof BoltsDocument; label: string }[] = [
        { key: 'count', label: 'Studs' },
        { key: 'circle', label: 'On a circle of' },
        { key: 'turn', label: 'First from the top' },
        { key: 'flats', label: 'Nut across flats' },
    ];

    function set(key: keyof BoltsDocument, text: string): void {
        void desk.editRun((run) => {
            const one = run[side].bolts;
            if (!one) return;
            const isNumber = (key === 'count' || key === 'turn') && text.trim() !== '';
            Object.assign(one, { [key]: isNumber && !Number.isNaN(Number(text)) ? Number(text) : text });
        });
    }

    function everywhere(): void {
        const here = bolts;
        void desk.edit((document) => {
            for (const run of document.runs)
                if (run[side].kind === 'flange') run[side].bolts = structuredClone(here);
        });
    }

    const add = () =>
        void desk.editRun(
            (run) => (run[side].bolts = { count: 2, circle: '84 mm', turn: 90, flats: '13 mm' }),
        );
    const drop = () => void desk.editRun((run) => (run[side].bolts = null));
</script>

{#if bolts}
    <div class="grid grid-cols-4 items-end gap-x-3">
        {#each fields as { key, label } (key)}
            <TextField
                {label}
                mono
                value={bolts[key]}
                error={errorAt(desk.errors, `${desk.path}.${side}.bolts.${key}`)}
                onchange={(value) => set(key, value)}
            />
        {/each}
        <div class="col-span-4 flex justify-end gap-3">
            {#if desk.document.runs.length > 1}
                <Button look="quiet" onclick={everywhere}>Same on every flange</Button>
            {/if}
            <Button look="quiet" onclick={drop}>No studs</Button>
        </div>
    </div>
{:else}
    <Button look="quiet" onclick={add}>Enter its studs, to keep the nuts in reach</Button>
{/if}
