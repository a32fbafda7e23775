<script lang="ts">
    // Photos at a step: taken with the tablet's camera, kept here until the server has them.
    import Button from '@/kit/button.svelte';
    import type { Photos } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { photoQueue } from '@/lib/photo-queue.svelte';
    import { madeSmall } from '@/lib/photos';

    type Props = { job: number; step: string };
    let { job, step }: Props = $props();

    let photos = $state.raw<Photos['photos']>([]);
    let isBusy = $state(false);
    const here = $derived(photos.filter((photo) => photo.step === step));
    const kept = $derived(photoQueue.mine.filter((photo) => photo.job === job && photo.step === step));

    $effect(() => {
        let isNewer = false;
        void send('GET', `/jobs/${job}/photos`, 'Photos').then((reply) => {
            if (reply.ok && !isNewer) photos = reply.data.photos;
        });
        return photoQueue.ontaken((of, all) => {
            if (of !== job) return;
            [photos, isNewer] = [all, true];
        });
    });

    async function take(input: HTMLInputElement): Promise<void> {
        const file = input.files?.[0];
        if (!file) return;
        isBusy = true;
        await photoQueue.put(job, step, await madeSmall(file));
        isBusy = false;
        // The same picture may be chosen again.
        input.value = '';
    }

    /** Shows a picture that is only here, as long as it stands on the page. */
    function picture(image: HTMLImageElement, jpeg: ArrayBuffer): { destroy: () => void } {
        image.src = URL.createObjectURL(new Blob([jpeg], { type: 'image/jpeg' }));
        return { destroy: () => URL.revokeObjectURL(image.src) };
    }
</script>

<div class="mt-3 flex flex-wrap items-center gap-3" role="group" aria-label="Photos">
    <label
        class="font-label border-strong bg-sheet focus-within:outline-action flex min-h-15 cursor-pointer items-center border px-4 text-lg"
        >{isBusy ? 'One moment …' : 'Photo'}
        <input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            disabled={isBusy}
            onchange={(event) => void take(event.currentTarget)}
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
    {#each kept as photo (photo.id)}
        <figure class="flex items-center gap-2">
            <img
                use:picture={photo.jpeg}
                alt="Kept here, not sent yet"
                class="border-strong h-15 w-auto border border-dashed"
            />
            {#if photo.refused}
                <figcaption class="text-stop">✕ {photo.refused}</figcaption>
                <Button onclick={() => void photoQueue.discard(photo)}>Discard it</Button>
            {:else}
                <figcaption class="text-quiet">↑ to send</figcaption>
            {/if}
        </figure>
    {/each}
</div>
