<script lang="ts">
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import { exportLogQueue, logQueue, type Kept } from '@/lib/log-queue';
    import RefusedEntry from './refused-entry.svelte';

    type Props = { open: boolean };
    let { open = $bindable() }: Props = $props();

    const counted = (entries: Kept[], key: (entry: Kept) => string) =>
        [...new Set(entries.map(key))].map((name) => ({
            name,
            count: entries.filter((entry) => key(entry) === name).length,
        }));
    const waiting = $derived(counted(logQueue.waiting, (entry) => entry.number));
    const others = $derived(counted(logQueue.others, (entry) => entry.maker));
    const empty = $derived(logQueue.entries.length === 0);
</script>

<Dialog
    bind:open
    title={empty ? 'Everything is logged' : 'Kept on this device'}
    text={empty
        ? 'The server has every entry made here.'
        : 'Entries of the bench stay here until the server has answered each of them.'}
>
    {#if !logQueue.lasts}
        <p class="border-stop text-stop border-l-4 px-3 py-1">
            This browser stores nothing: leave this page open until all is sent, or save them as a file.
        </p>
    {/if}
    {#if logQueue.refused.length > 0}
        <h3 class="heading">Not logged</h3>
        <ul class="divide-line mt-1 mb-4 divide-y">
            {#each logQueue.refused as entry (entry.id)}
                <li><RefusedEntry {entry} /></li>
            {/each}
        </ul>
    {/if}
    {#if waiting.length > 0}
        <h3 class="heading">On their way</h3>
        <ul class="mt-1 mb-4">
            {#each waiting as { name, count } (name)}
                <li><span class="figure">{count}</span> of {name}</li>
            {/each}
        </ul>
        {#if logQueue.trouble}<p class="text-stop -mt-2 mb-4" role="status">{logQueue.trouble}</p>{/if}
    {/if}
    {#if others.length > 0}
        <h3 class="heading">Of other people</h3>
        <ul class="mt-1 mb-4">
            {#each others as { name, count } (name)}
                <li><span class="figure">{count}</span> of {name}; sent when they sign in on this device</li>
            {/each}
        </ul>
    {/if}
    <div class="flex flex-wrap gap-2">
        {#if waiting.length > 0}
            <Button look="main" onclick={() => logQueue.flush()}>Send now</Button>
        {/if}
        {#if !empty}<Button onclick={exportLogQueue}>Save as a file</Button>{/if}
        <Button onclick={() => (open = false)}>Close</Button>
    </div>
</Dialog>
