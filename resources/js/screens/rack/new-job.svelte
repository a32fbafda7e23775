<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { send } from '@/lib/http';
    import { blankJob, nextNumber } from './blank-job';

    type Props = { open: boolean; numbers: string[] };
    let { open = $bindable(), numbers }: Props = $props();

    let number = $state('');
    let title = $state('');
    let file: File | null = $state(null);
    let errors = $state<string[]>([]);

    $effect(() => {
        if (open) [number, title, file, errors] = [nextNumber(numbers), '', null, []];
    });

    async function create(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        let document: unknown = blankJob(number, title);
        if (file) {
            try {
                document = JSON.parse(await file.text());
            } catch {
                errors = ['This file is not complete JSON.'];
                return;
            }
        }
        const reply = await send('POST', '/jobs', 'Begun', { document });
        if (reply.ok) router.visit(`/jobs/${reply.data.id}/survey`);
        else if (reply.status === 422 && 'errors' in reply)
            errors = Object.entries(reply.errors).map(([path, messages]) => `${path}: ${messages[0]}`);
        else errors = [reply.message];
    }
</script>

<Dialog bind:open title="New job" text="Name it and go to the survey, or open a job file.">
    <form class="space-y-3" onsubmit={create}>
        <div class="grid grid-cols-[9rem_1fr] gap-3">
            <TextField
                label="Number"
                value={number}
                required={!file}
                oninput={(event) => (number = event.currentTarget.value)}
            />
            <TextField
                label="Title"
                value={title}
                required={!file}
                oninput={(event) => (title = event.currentTarget.value)}
            />
        </div>
        <div>
            <label class="label block" for="job-file">Or a job file (.job.json), or a route problem</label>
            <input
                id="job-file"
                type="file"
                accept=".json,application/json"
                onchange={(event) => (file = event.currentTarget.files?.[0] ?? null)}
            />
        </div>
        {#each errors as error, i (i)}
            <p class="text-stop">✕ {error}</p>
        {/each}
        <Button look="main" type="submit">{file ? 'Open the file' : 'Begin the survey'}</Button>
    </form>
</Dialog>
