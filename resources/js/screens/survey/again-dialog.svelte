<script lang="ts">
    // Another job for the same engine: its survey is taken over, its routes and what was decided are not.
    import { router } from '@inertiajs/svelte';
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { said, send } from '@/lib/http';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { numberAgain, sameAgain } from '@/lib/same-again';

    type Props = { desk: JobDesk; open: boolean };
    let { desk, open = $bindable() }: Props = $props();

    let number = $state(untrack(() => numberAgain(desk.document.job.number)));
    let title = $state(untrack(() => desk.document.job.title));
    let failure = $state('');

    async function begin(): Promise<void> {
        const reply = await send('POST', '/jobs', 'Begun', {
            document: sameAgain(desk.document, number.trim(), title.trim()),
        });
        if (reply.ok) router.visit(`/jobs/${reply.data.id}/survey`);
        else failure = said(reply);
    }
</script>

<Dialog
    bind:open
    title="The same engine again"
    text="The new job takes the ends, the readings and the keep-outs. It begins without routes, prices and overrules."
>
    <form
        class="space-y-3"
        onsubmit={(event) => {
            event.preventDefault();
            void begin();
        }}
    >
        <div class="grid grid-cols-[9rem_1fr] gap-3">
            <TextField
                label="Number"
                value={number}
                required
                oninput={(event) => (number = event.currentTarget.value)}
            />
            <TextField
                label="Title"
                value={title}
                required
                oninput={(event) => (title = event.currentTarget.value)}
            />
        </div>
        {#if failure}<p class="text-stop" role="alert">✕ {failure}</p>{/if}
        <Button look="main" type="submit">Begin it</Button>
    </form>
</Dialog>
