<script lang="ts">
    // Shown where a page says what these screens do not know: they are older or newer than the server.
</script>

<svelte:head><title>Load again · Upswept Bead</title></svelte:head>

<main class="mx-auto max-w-xl p-10">
    <h1 class="font-label text-3xl font-semibold">The server is newer than this page</h1>
    <p class="text-quiet mt-2">
        It said something that this page does not know. Load the page again; what was saved is safe, and
        entries from the bench and edits that wait are kept on this device.
    </p>
    <button class="text-action mt-6 inline-block underline" onclick={() => location.reload()}>
        Load the page again
    </button>
</main>
