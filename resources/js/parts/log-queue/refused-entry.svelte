<script lang="ts">
    // One entry that the server did not take: why, what it says, and the two ways out.
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { ENTRY_WORDS, logQueue, type Kept } from '@/lib/log-queue';

    type Props = { entry: Kept };
    let { entry }: Props = $props();

    let readings = $state(untrack(() => ({ ...entry.readings })));
    let note = $state(untrack(() => entry.note));
    let why = $state(untrack(() => entry.why ?? ''));
    let sure = $state(false);
    const errorOf = (field: string) => (entry.refused?.field === field ? entry.refused.reason : '');
    const said = $derived(
        entry.refused?.field === 'note' || entry.refused?.field.startsWith('readings.')
            ? ''
            : entry.refused?.reason,
    );
    const at = $derived(new Date(entry.at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' }));
</script>

<div class="space-y-2 py-2">
    <p>
        <span class="font-medium">{entry.title}</span>: {ENTRY_WORDS[entry.kind]}
        <span class="text-quiet">· {entry.number}, {at}</span>
    </p>
    {#if said}<p class="text-stop">✕ {said}</p>{/if}
    <div class="grid gap-2 sm:grid-cols-2">
        {#each Object.keys(readings) as name (name)}
            <TextField
                label={entry.labels[name] ?? name}
                value={readings[name] ?? ''}
                error={errorOf(`readings.${name}`)}
                oninput={(event) => (readings[name] = event.currentTarget.value)}
            />
        {/each}
        <TextField
            label="Note"
            value={note}
            error={errorOf('note')}
            oninput={(event) => (note = event.currentTarget.value)}
        />
        {#if entry.refused?.field === 'why'}
            <TextField label="Why go on" value={why} oninput={(event) => (why = event.currentTarget.value)} />
        {/if}
    </div>
    <div class="flex flex-wrap gap-2">
        <Button onclick={() => logQueue.amend(entry, { readings: $state.snapshot(readings), note, why })}
            >Send again</Button
        >
        {#if sure}
            <Button class="border-stop text-stop" onclick={() => logQueue.discard(entry)}
                >Yes, discard it for good</Button
            >
            <Button look="quiet" onclick={() => (sure = false)}>Keep it</Button>
        {:else}
            <Button look="quiet" onclick={() => (sure = true)}>Discard</Button>
        {/if}
    </div>
</div>
