<script lang="ts">
    import { onMount } from 'svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Insertion, TubeRun } from '@/lib/plan';
    import { theme } from '@/lib/theme.svelte';
    import type { TubeScene, View } from './tube-scene';

    type Props = {
        desk: JobDesk;
        ghosts?: { letter: string; run: TubeRun }[];
        /** The order in which the runs are to be seen going in; a new list plays anew. */
        showing?: Insertion['order'];
    };
    let { desk, ghosts = [], showing = [] }: Props = $props();

    const scenery = $derived({
        runs: desk.plan.runs,
        current: desk.run?.letter ?? '',
        ghosts,
        selection: desk.selection,
        set: desk.plan.set,
        meshUrl: (fingerprint: string) => `/jobs/${desk.view.id}/meshes/${fingerprint}`,
    });

    let canvas: HTMLCanvasElement;
    let scene = $state.raw<TubeScene | null>(null);
    let failure = $state('');
    const views: { id: View; name: string }[] = [
        { id: 'corner', name: 'Corner' },
        { id: 'side', name: 'From the right' },
        { id: 'top', name: 'From above' },
        { id: 'rear', name: 'From the rear' },
    ];

    // The 3D library is the largest part of the page, so the rest of the screen does not wait for it.
    onMount(() => {
        let gone = false;
        void (async () => {
            try {
                const { TubeScene } = await import('./tube-scene');
                if (gone) return;
                scene = new TubeScene(
                    canvas,
                    (picked) => (desk.selection = picked),
                    (letter) => desk.choose(letter),
                );
                scene.show(scenery);
                requestAnimationFrame(() => scene?.look('corner'));
            } catch {
                failure = 'This browser draws no 3D. The table and the ribbon say the same.';
            }
        })();
        return () => {
            gone = true;
            scene?.dispose();
        };
    });

    // Drawing is an effect by nature: what is on the canvas follows what was computed.
    $effect(() => {
        void theme.current;
        scene?.show(scenery);
    });

    $effect(() => {
        if (showing.length > 0) scene?.playInsertion(showing);
    });
</script>

<div class="relative h-full min-h-64">
    <canvas
        bind:this={canvas}
        class="absolute inset-0 h-full w-full touch-none"
        aria-label="The run in 3D. Drag to turn it, scroll to come closer."
    ></canvas>
    {#if failure}
        <p class="absolute inset-x-6 top-6">{failure}</p>
    {/if}
    <div class="absolute top-2 left-2 flex gap-1" role="group" aria-label="Views">
        {#each views as view (view.id)}
            <button
                type="button"
                class="label bg-sheet border-line hover:border-ink border px-2 py-1"
                onclick={() => scene?.look(view.id)}>{view.name}</button
            >
        {/each}
    </div>
    <p class="label absolute bottom-2 left-2">grid 100 mm · arrows show the flow</p>
</div>
