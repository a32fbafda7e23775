<script lang="ts">
    // A mock-up of modular blocks, read off with the flow: it becomes the run, in bends that are stocked.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; open: boolean };
    let { desk, open = $bindable() }: Props = $props();

    let blocks = $state('');
    let failure = $state('');

    async function take(): Promise<void> {
        const errors = await desk.grow({ do: 'blocks', blocks });
        failure = Object.values(errors)[0]?.[0] ?? '';
        if (failure === '') open = false;
    }
</script>

<Dialog
    bind:open
    title="From a mock-up"
    text="Read it off block by block, with the flow. How long a block is, how far a click turns and on what radius its bends are stand at Shop, under Routes."
>
    <form
        class="space-y-3"
        onsubmit={(event) => {
            event.preventDefault();
            void take();
        }}
    >
        <div>
            <label class="label block" for="mock-up-blocks">Blocks</label>
            <textarea
                id="mock-up-blocks"
                class="bg-sheet border-strong figure h-28 w-full border p-2"
                placeholder="3 straight, 45 bend, 2 clicks, 90 bend, 1 straight"
                aria-invalid={failure ? 'true' : undefined}
                aria-describedby={failure ? 'mock-up-error' : undefined}
                bind:value={blocks}></textarea>
            {#if failure}<p id="mock-up-error" class="text-stop mt-1">✕ {failure}</p>{/if}
        </div>
        <p class="text-quiet text-sm">
            The stocked bends have another radius than the blocks: the far end bar says how far it ends from
            the survey, “Close the rest” brings it there.
        </p>
        <Button look="main" type="submit">Take it as run {desk.entered?.letter ?? ''}</Button>
    </form>
</Dialog>
