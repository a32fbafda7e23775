<script lang="ts">
    // One bottle more in the shop.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Bottle } from '@/lib/answers';
    import { send } from '@/lib/http';

    let { onadded }: { onadded: (all: Bottle[]) => void } = $props();

    const EMPTY = { name: '', use: 'torch' as 'torch' | 'purge', capacity: '', full: '', gauge: '' };
    let isOpen = $state(false);
    let bottle = $state({ ...EMPTY });
    let errors = $state<Record<string, string[]>>({});
    let trouble = $state('');

    const TEXTS = [
        { field: 'name', label: 'Name', hint: '' },
        { field: 'capacity', label: 'Holds when full', hint: '150 ft³ or 4250 l' },
        { field: 'full', label: 'At', hint: '2400 psi or 165 bar' },
        { field: 'gauge', label: 'On the gauge now', hint: '' },
    ] as const;

    async function add(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        const reply = await send('POST', '/bottles', 'Bottles', bottle);
        if (!reply.ok) {
            errors = 'errors' in reply ? reply.errors : {};
            trouble = Object.keys(errors).length > 0 ? '' : reply.message;
            return;
        }
        onadded(reply.data.bottles);
        [isOpen, bottle, errors, trouble] = [false, { ...EMPTY }, {}, ''];
    }
</script>

{#if isOpen}
    <form class="border-line mt-3 space-y-2 border-t pt-2" onsubmit={add}>
        {#each TEXTS as { field, label, hint } (field)}
            <TextField
                {label}
                required
                placeholder={hint}
                value={bottle[field]}
                error={errors[field]?.[0] ?? ''}
                oninput={(event) => (bottle[field] = event.currentTarget.value)}
            />
        {/each}
        <SelectField
            label="Feeds"
            value={bottle.use}
            error={errors['use']?.[0] ?? ''}
            options={[
                { id: 'torch', name: 'the torch' },
                { id: 'purge', name: 'the purge' },
            ]}
            onchange={(use) => (bottle.use = use)}
        />
        {#if trouble}<p class="text-stop" role="alert">✕ {trouble}</p>{/if}
        <div class="flex flex-wrap gap-2">
            <Button look="main" type="submit">Add it</Button>
            <Button look="quiet" onclick={() => (isOpen = false)}>Leave it</Button>
        </div>
    </form>
{:else}
    <p class="mt-2"><Button look="quiet" onclick={() => (isOpen = true)}>Add a bottle</Button></p>
{/if}
