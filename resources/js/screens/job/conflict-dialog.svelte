<script lang="ts">
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const open = $derived(desk.conflict !== null);
    const frozen = $derived(desk.conflict?.latest.status === 'released');
</script>

<Dialog {open} title="Someone else changed this job" text={desk.conflict?.message ?? ''}>
    <p>Your change is still here and is not saved.</p>
    <div class="mt-4 flex gap-2">
        <Button look="main" onclick={() => desk.keepTheirs()}>Take the other version</Button>
        {#if !frozen}
            <Button onclick={() => desk.keepMine()}>Save mine over it</Button>
        {/if}
    </div>
</Dialog>
