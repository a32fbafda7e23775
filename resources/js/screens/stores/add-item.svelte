<script lang="ts">
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { said, send } from '@/lib/http';

    type Props = { open: boolean; onadded: () => void };
    let { open = $bindable(), onadded }: Props = $props();

    const KINDS = [
        { id: '', name: 'Tube or bend of the catalogue' },
        { id: 'flange', name: 'Flange' },
        { id: 'band', name: 'V-band' },
        { id: 'bung', name: 'Bung' },
        { id: 'part', name: 'Bought part' },
        { id: 'wire', name: 'Wire' },
        { id: 'gas', name: 'Gas' },
        { id: 'disc', name: 'Disc' },
        { id: 'blade', name: 'Blade' },
    ];
    const EMPTY = {
        key: '',
        count: '',
        location: '',
        cost: '',
        reorderAt: '',
        reorderTo: '',
        kind: '',
        name: '',
    };
    let item = $state({ ...EMPTY });
    let failure = $state('');

    async function add(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        const reply = await send('POST', '/stores/items', 'ItemChanged', item);
        failure = reply.ok ? '' : said(reply);
        if (!reply.ok) return;
        item = { ...EMPTY };
        open = false;
        onadded();
    }
</script>

<Dialog
    bind:open
    title="Add an item"
    text="Tube and bends go by the catalogue’s id, such as T3.000x.065; parts by a short name of your own."
>
    <form class="grid grid-cols-2 gap-3" onsubmit={add}>
        <SelectField
            class="col-span-2"
            label="Kind"
            value={item.kind}
            options={KINDS}
            onchange={(value) => (item.kind = value)}
        />
        <TextField label="Item" value={item.key} mono oninput={(e) => (item.key = e.currentTarget.value)} />
        <TextField
            label={item.kind === 'wire' ? 'There are (kg)' : 'There are'}
            value={item.count}
            mono
            oninput={(e) => (item.count = e.currentTarget.value)}
        />
        {#if item.kind !== ''}
            <TextField
                class="col-span-2"
                label="Name"
                value={item.name}
                oninput={(e) => (item.name = e.currentTarget.value)}
            />
        {/if}
        <TextField
            label="Place"
            value={item.location}
            oninput={(e) => (item.location = e.currentTarget.value)}
        />
        <TextField
            label="Price of one"
            value={item.cost}
            mono
            oninput={(e) => (item.cost = e.currentTarget.value)}
        />
        <TextField
            label="Order when so few are left"
            value={item.reorderAt}
            mono
            oninput={(e) => (item.reorderAt = e.currentTarget.value)}
        />
        <TextField
            label="Order up to"
            value={item.reorderTo}
            mono
            oninput={(e) => (item.reorderTo = e.currentTarget.value)}
        />
        {#if failure}<p class="text-stop col-span-2" role="alert">✕ {failure}</p>{/if}
        <div class="col-span-2"><Button look="main" type="submit">Add it</Button></div>
    </form>
</Dialog>
