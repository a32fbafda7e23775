<script lang="ts">
    // More than one run: added beside the last, as ports in a row are.
    import Button from '@/kit/button.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { RunDocument } from '@/lib/plan';
    import PasteDialog from './paste-dialog.svelte';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    let pasting = $state(false);
    const letters = [...'ABCDEFGHIJKLMNOP'];
    const free = $derived(letters.find((one) => !desk.document.runs.some((run) => run.letter === one)));

    async function add(): Promise<void> {
        const letter = free;
        const last = desk.document.runs.at(-1);
        if (!letter || !last) return;
        await desk.edit((document) => {
            const copy = structuredClone(last) as RunDocument;
            document.runs.push({ ...copy, letter, name: '', route: null, fittings: [] });
        });
        desk.choose(letter);
    }

    async function remove(): Promise<void> {
        const letter = desk.entered?.letter;
        if (!letter || desk.document.runs.length < 2) return;
        desk.index = 0;
        await desk.edit((document) => {
            document.runs = document.runs.filter((run) => run.letter !== letter);
            for (const group of [...(document.set?.collectors ?? []), ...(document.set?.lengths ?? [])]) {
                group.runs = group.runs.filter((one) => one !== letter);
                if ('firing' in group) group.firing = group.firing.filter((one) => one !== letter);
            }
        });
    }
</script>

{#if mayPlan}
    <div class="flex flex-wrap gap-2">
        <Button onclick={() => (pasting = true)}>Paste ports</Button>
        <Button onclick={add} disabled={!free}
            >Add a run like {desk.document.runs.at(-1)?.letter ?? 'A'}</Button
        >
        {#if desk.document.runs.length > 1}
            <Button look="quiet" onclick={remove}>Remove run {desk.entered?.letter}</Button>
        {/if}
    </div>
{/if}
<PasteDialog {desk} bind:open={pasting} />
