<script lang="ts">
    // Photos of the job, by the step they were taken at.
    import Button from '@/kit/button.svelte';
    import type { Photos } from '@/lib/answers';
    import { said, send } from '@/lib/http';

    type Props = { job: number; isPlanner: boolean };
    let { job, isPlanner }: Props = $props();

    let photos = $state.raw<Photos['photos']>([]);
    let failure = $state('');
    $effect(() => {
        void ask('GET', `/jobs/${job}/photos`);
    });

    async function ask(method: 'GET' | 'DELETE', url: string): Promise<void> {
        const reply = await send(method, url, 'Photos');
        failure = reply.ok ? '' : said(reply);
        if (reply.ok) photos = reply.data.photos;
    }
</script>

{#if photos.length > 0 || failure}
    <section class="sheet p-3" aria-label="Photos">
        <h2 class="heading">Photos</h2>
        {#if failure}<p class="text-stop">✕ {failure}</p>{/if}
        <ul class="mt-2 grid gap-3 sm:grid-cols-3">
            {#each photos as photo (photo.id)}
                <li>
                    <a href="/jobs/{job}/photos/{photo.id}" target="_blank" rel="noopener"
                        ><img
                            src="/jobs/{job}/photos/{photo.id}"
                            alt="At {photo.words}, by {photo.by}"
                            class="border-line w-full border"
                            loading="lazy"
                        /></a
                    >
                    <p class="flex items-center justify-between gap-2 text-sm">
                        <span>{photo.words}</span>
                        {#if isPlanner}<Button
                                look="quiet"
                                onclick={() => ask('DELETE', `/jobs/${job}/photos/${photo.id}`)}
                                >Take away</Button
                            >{/if}
                    </p>
                </li>
            {/each}
        </ul>
    </section>
{/if}
