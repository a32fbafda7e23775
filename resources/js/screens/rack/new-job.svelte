<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { send } from '@/lib/http';
    import { blankJob, nextNumber, numberOf, renamed } from './blank-job';

    type Props = { open: boolean; numbers: string[] };
    let { open = $bindable(), numbers }: Props = $props();

    let number = $state('');
    let title = $state('');
    let file: File | null = $state(null);
    let errors = $state<string[]>([]);

    // Only where it opens: jobs that others begin meanwhile take nothing away of what was typed.
    $effect(() => {
        if (open) [number, title, file, errors] = [untrack(() => nextNumber(numbers)), '', null, []];
    });

    function refused(by: Record<string, string[]>): void {
        errors = Object.entries(by).map(([path, messages]) =>
            path === 'job.number' ? `${messages[0]} The next one is put in.` : `${path}: ${messages[0]}`,
        );
        if (by['job.number']) number = nextNumber([...numbers, number]);
    }

    /** What a file calls its job, where that is still free; else the next number stays proposed. */
    async function chosen(picked: File | null): Promise<void> {
        file = picked;
        const own = picked ? numberOf(await picked.text()) : null;
        if (own !== null && !numbers.includes(own)) number = own;
    }

    /** Where a job begins, by the button that was pressed. */
    const FIRST: Record<string, string> = { survey: 'survey', grow: 'route' };

    async function create(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        const way = event.submitter?.getAttribute('value') ?? '';
        const grows = way === 'grow';
        const first = file ? 'survey' : (FIRST[way] ?? 'intake');
        let document: unknown = blankJob(number, title, grows);
        if (file) {
            try {
                document = renamed(JSON.parse(await file.text()), number.trim(), title.trim());
            } catch {
                errors = ['This file is not complete JSON.'];
                return;
            }
        }
        const reply = await send('POST', '/jobs', 'Begun', { document });
        if (reply.ok) router.visit(`/jobs/${reply.data.id}/${first}`);
        else if (reply.status === 422 && 'errors' in reply) refused(reply.errors);
        else errors = [reply.message];
    }
</script>

<Dialog
    bind:open
    title="New job"
    text="Name it, and begin with what is wanted, with the survey, or with one end. Or open a job file."
>
    <form class="space-y-3" onsubmit={create}>
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
                onchange={(event) => chosen(event.currentTarget.files?.[0] ?? null)}
            />
        </div>
        {#each errors as error, i (i)}
            <p class="text-stop">✕ {error}</p>
        {/each}
        <div class="flex flex-wrap gap-2">
            <Button look="main" type="submit">{file ? 'Open the file' : 'Say what is wanted'}</Button>
            {#if !file}
                <Button type="submit" value="survey">Begin the survey</Button>
                <Button type="submit" value="grow">Grow it from one end</Button>
            {/if}
        </div>
    </form>
</Dialog>
