<script lang="ts">
    // How many entries of the bench are still on this device, wherever one is; it opens the list of them.
    import Button from '@/kit/button.svelte';
    import { logQueue } from '@/lib/log-queue';
    import { photoQueue } from '@/lib/photo-queue.svelte';
    import QueueDialog from './queue-dialog.svelte';

    let open = $state(false);
    const refused = $derived(logQueue.refused.length);
    const waiting = $derived(logQueue.waiting.length);
    const others = $derived(logQueue.others.length);
    const photos = $derived(photoQueue.waiting.length);
</script>

{#if photos > 0}
    <p class="font-label shrink-0 px-3 py-1.5 text-[0.95rem] leading-tight font-semibold">
        ↑ {photos === 1 ? 'a photo' : `${photos} photos`} to send
    </p>
{/if}
{#if logQueue.entries.length > 0 || open}
    <button
        type="button"
        class="tap font-label shrink-0 px-3 py-1.5 text-left text-[0.95rem] leading-tight font-semibold {refused >
        0
            ? 'text-stop'
            : ''}"
        onclick={() => (open = true)}
    >
        {#if refused > 0}<span class="block">✕ {refused} not logged</span>{/if}
        {#if waiting > 0}<span class="block">↑ {waiting} to send</span>{/if}
        {#if refused + waiting === 0}<span class="text-quiet block">↑ {others} of others</span>{/if}
    </button>
    <QueueDialog bind:open />
{/if}
{#if logQueue.told.length > 0}
    <div
        class="sheet border-l-action fixed inset-x-3 bottom-3 z-40 flex items-start gap-3 border-l-4 p-3"
        role="status"
    >
        <div class="grow">
            {#each logQueue.told as line, i (i)}<p>△ {line}</p>{/each}
        </div>
        <Button onclick={() => (logQueue.told = [])}>Seen</Button>
    </div>
{/if}
