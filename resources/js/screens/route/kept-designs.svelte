<script lang="ts">
    // Designs kept by name beside the one that counts.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { dropDesign, renameDesign, takeDesign } from '@/lib/designs';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const kept = $derived(desk.document.set.designs ?? []);
</script>

{#if kept.length > 0}
    <section class="sheet px-3 py-2" aria-label="Kept designs">
        <p class="label">Kept beside it</p>
        <ul class="divide-line divide-y">
            {#each kept as design, i (i)}
                <li class="flex items-center gap-2 py-1">
                    <TextField
                        class="min-w-0 grow"
                        label="Name of kept design {design.name}"
                        hideLabel
                        value={design.name}
                        onchange={(value) => renameDesign(desk, design.name, value)}
                    />
                    <Button aria-label="Take {design.name}" onclick={() => takeDesign(desk, design)}
                        >Take</Button
                    >
                    <Button
                        look="quiet"
                        aria-label="Drop {design.name}"
                        onclick={() => dropDesign(desk, design.name)}>Drop</Button
                    >
                </li>
            {/each}
        </ul>
    </section>
{/if}
