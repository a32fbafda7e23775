<script lang="ts">
    // Takes a job away that nothing was done on; a log is kept, and the server says so.
    import { router } from '@inertiajs/svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import { said, send } from '@/lib/http';

    type Props = { job: number; number: string };
    let { job, number }: Props = $props();
    let open = $state(false);
    let trouble = $state('');

    async function remove(): Promise<void> {
        const reply = await send('DELETE', `/jobs/${job}`, null);
        if (!reply.ok) trouble = said(reply);
        else router.visit('/', { replace: true });
    }
</script>

<Button look="quiet" onclick={() => ((trouble = ''), (open = true))}>Delete job</Button>
<Dialog
    bind:open
    title="Delete {number}?"
    text="Its survey, its drafts and its links go with it. This cannot be undone."
>
    {#if trouble}<p class="text-stop">✕ {trouble}</p>{/if}
    <div class="mt-4 flex gap-2">
        <Button onclick={remove}>Delete it</Button>
        <Button look="main" onclick={() => (open = false)}>Keep it</Button>
    </div>
</Dialog>
