<script lang="ts">
    // What keeps an edit from being saved, and the way to the field it is about; on every stage.
    import Button from '@/kit/button.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { nameOf } from '@/lib/places';

    type Props = { desk: JobDesk; onfield: (path: string) => void };
    let { desk, onfield }: Props = $props();

    const MOST = 4;
    const refused = $derived(Object.entries(desk.errors));
</script>

{#if desk.saveState === 'refused'}
    <section class="sheet border-stop border-2 px-3 py-2" role="alert" aria-label="Not saved">
        <p class="text-stop font-medium">
            ✕ Not saved. The edit is kept in this browser until it is put right or undone.
        </p>
        <ul class="mt-1 space-y-1">
            {#each refused.slice(0, MOST) as [path, messages] (path)}
                <li class="flex flex-wrap items-baseline gap-x-3">
                    <button
                        type="button"
                        class="text-action text-left underline"
                        onclick={() => onfield(path)}>{nameOf(path, desk.document)}</button
                    >
                    <span>{messages[0]}</span>
                </li>
            {/each}
        </ul>
        {#if refused.length > MOST}<p class="text-quiet text-sm">and {refused.length - MOST} more</p>{/if}
        {#if desk.canUndo}<Button class="mt-2" onclick={() => desk.undo()}>Undo the edit</Button>{/if}
    </section>
{:else if desk.failure}
    <p class="sheet border-stop text-stop flex flex-wrap items-center gap-3 border-2 px-3 py-2" role="alert">
        ✕ {desk.failure}
        {#if desk.unsaved}The edit is kept in this browser. <Button onclick={() => desk.retry()}
                >Try again</Button
            >{/if}
    </p>
{/if}
{#if desk.leftover}
    <section class="sheet border-strong border-l-4 px-3 py-2" aria-label="An edit from before">
        <p>
            An edit from {new Date(desk.leftover.at).toLocaleString()} was never saved, and the job has been changed
            since.
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
            <Button onclick={() => desk.takeLeftover()}>Put it in place of what is there</Button>
            <Button look="quiet" onclick={() => desk.dropLeftover()}>Throw it away</Button>
        </div>
    </section>
{/if}
