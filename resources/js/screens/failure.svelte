<script lang="ts">
    import { untrack } from 'svelte';

    /** After how many seconds the server wants to be asked again; null where that would not help. */
    type Props = { status: number; againS: number | null };
    let { status, againS }: Props = $props();

    /** A wait beyond this is for the reader to end. */
    const MOST_S = 120;
    let leftS = $state(untrack(() => (againS !== null && againS <= MOST_S ? Math.max(againS, 2) : null)));
    $effect(() => {
        const clock = setInterval(() => {
            if (leftS === null) return;
            leftS -= 1;
            if (leftS > 0) return;
            leftS = null;
            location.reload();
        }, 1000);
        return () => clearInterval(clock);
    });

    const texts: Record<number, [string, string]> = {
        403: ['Your role does not allow this', 'Ask the owner of the shop.'],
        404: ['There is nothing here', 'The job may have been renumbered.'],
        409: [
            'This job cannot be read',
            'What is stored of it is not what this version of the program writes. Nothing of it was changed; the other jobs are not touched.',
        ],
        419: ['You were away too long', 'Sign in again; nothing was lost.'],
        429: ['Too much at once', 'Nothing was changed. Wait a moment.'],
        503: ['The server is not there just now', 'It comes back by itself; what you did is kept.'],
    };
    const job = $derived(status === 409 ? /^\/jobs\/\d+/.exec(location.pathname)?.[0] : undefined);
    const [title, text] = $derived(texts[status] ?? ['The server failed', 'Nothing was changed. Try again.']);
</script>

<svelte:head><title>{title} · Upswept Bead</title></svelte:head>

<main class="mx-auto max-w-xl p-10">
    <p class="figure text-quiet">{status}</p>
    <h1 class="font-label text-3xl font-semibold">{title}</h1>
    <p class="text-quiet mt-2">{text}</p>
    {#if leftS !== null}
        <p class="mt-2">Tries again in {leftS} s.</p>
    {/if}
    <p class="mt-6 flex flex-wrap gap-x-6">
        {#if status === 429 || status === 503}
            <a class="text-action inline-flex min-h-11 items-center underline" href={location.href}
                >Load the page again</a
            >
        {/if}
        <a class="text-action inline-flex min-h-11 items-center underline" href="/">Back to the rack</a>
        {#if job}
            <a
                class="text-action inline-flex min-h-11 items-center underline"
                href="{job}/stored.json"
                download>What is stored of it, as a file</a
            >
        {/if}
    </p>
</main>
