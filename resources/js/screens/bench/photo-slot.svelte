<script lang="ts">
    // Photos at a step: taken with the tablet's camera, sent while there is a network.
    import type { Photos } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { sendPhoto } from '@/lib/photos';

    type Props = { job: number; step: string };
    let { job, step }: Props = $props();

    let photos = $state.raw<Photos['photos']>([]);
    let failure = $state('');
    let isSending = $state(false);
    const here = $derived(photos.filter((photo) => photo.step === step));

    $effect(() => {
        void send('GET', `/jobs/${job}/photos`, 'Photos').then((reply) => {
            if (reply.ok) photos = reply.data.photos;
        });
    });

    async function take(files: FileList | null): Promise<void> {
        const file = files?.[0];
        if (!file) return;
        isSending = true;
        const answer = await sendPhoto(job, step, file);
        isSending = false;
        failure = typeof answer === 'string' ? answer : '';
        if (typeof answer !== 'string') photos = answer.photos;
    }
</script>

<div class="mt-3 flex flex-wrap items-center gap-3" role="group" aria-label="Photos">
    <label
        class="font-label border-strong bg-sheet focus-within:outline-action flex min-h-15 cursor-pointer items-center border px-4 text-lg"
        >{isSending ? 'Sending…' : 'Photo'}
        <input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            disabled={isSending}
            onchange={(event) => void take(event.currentTarget.files)}
        /></label
    >
    {#each here as photo (photo.id)}
        <a href="/jobs/{job}/photos/{photo.id}" target="_blank" rel="noopener">
            <img
                src="/jobs/{job}/photos/{photo.id}"
                alt="Taken by {photo.by}"
                class="border-strong h-15 w-auto border"
            />
        </a>
    {/each}
    {#if failure}<p class="text-stop">✕ {failure}</p>{/if}
</div>
