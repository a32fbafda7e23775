<script lang="ts">
    import { onMount, untrack } from 'svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { lengthText } from '@/lib/length-text';
    import type { Insertion, Triple, TubeRun } from '@/lib/answers';
    import { theme } from '@/lib/theme.svelte';
    import { doubtsOf, pointsOf } from './doubts';
    import type { Grip } from './handles';
    import type LooksMenu from './looks-menu.svelte';
    import type { Held, Looks, SeamShown, TubeScene, View } from './tube-scene';

    type Props = {
        desk: JobDesk;
        ghosts?: { letter: string; run: TubeRun }[];
        /** The order in which the runs are to be seen going in; a new list plays anew. */
        showing?: Insertion['order'];
        /** What can be dragged now, and who is told. */
        grip?: Grip | null;
        /** Whether the three axes are drawn at the datum. */
        withDatum?: boolean;
        ondrag?: (key: string, at: Triple, isDone: boolean) => void;
        /** The collector that is worked on, and who is told when another is pressed. */
        collector?: string | null;
        oncollector?: (letter: string) => void;
        /** The run or collector that the view is turned to; null for everything. */
        near?: string | null;
        /** What of a build stands there so far; null for everything. */
        standing?: string[] | null;
        fresh?: string;
        seam?: SeamShown | null;
        /** How what stands there is held and filled; null as on the vehicle. */
        held?: Held | null;
        /** Only a picture to turn: without views, measuring and looks. */
        plain?: boolean;
        /** Of a run that grows, how many pieces it has: with each the eye steps back until all of it is seen. */
        grown?: number;
        /** A plane before which everything is taken away. */
        opening?: { at: Triple; normal: Triple } | null;
        /** A keep-out that is tapped on, and who is told where; null for none. */
        tap?: { on: string; take: (at: Triple) => void } | null;
    };
    let {
        desk,
        ghosts = [],
        showing = [],
        grip = null,
        withDatum = false,
        ondrag,
        collector = null,
        oncollector,
        opening = null,
        near = null,
        standing = null,
        fresh = '',
        seam = null,
        held = null,
        plain = false,
        grown = 0,
        tap = null,
    }: Props = $props();

    const grid = $derived(
        desk.view.units === 'inch' ? { mm: 4 * 25.4, text: '4 in' } : { mm: 100, text: '100 mm' },
    );
    const scenery = $derived({
        runs: desk.plan.runs,
        current: desk.run?.letter ?? '',
        ghosts,
        selection: desk.selection,
        set: desk.plan.set,
        merge: desk.plan.merge,
        parts: desk.plan.fit.parts,
        collector,
        near,
        standing,
        fresh,
        seam,
        held,
        grip,
        withDatum,
        doubts: withDatum ? doubtsOf(desk.plan) : [],
        points: withDatum ? pointsOf(desk.plan) : [],
        gridMm: grid.mm,
        meshUrl: (fingerprint: string) => `/jobs/${desk.view.id}/meshes/${fingerprint}`,
    });

    let canvas: HTMLCanvasElement;
    let layer: HTMLElement;
    let scene = $state.raw<TubeScene | null>(null);
    let Menu = $state.raw<typeof LooksMenu | null>(null);
    let failure = $state('');
    let looks = $state<Looks>({ glass: 0.34, spread: 0, section: null, snapMm: 5, isMeasuring: false });
    let measured = $state<number | null>(null);
    let dragged = $state<Triple | null>(null);
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
                const [{ TubeScene }, menu] = await Promise.all([
                    import('./tube-scene'),
                    import('./looks-menu.svelte'),
                ]);
                if (gone) return;
                scene = new TubeScene(canvas, layer, {
                    onselect: (picked) => (desk.selection = picked),
                    onrun: (letter) =>
                        desk.plan.merge.collectors.some((one) => one.letter === letter)
                            ? oncollector?.(letter)
                            : desk.choose(letter),
                    onmeasure: (mm) => (measured = mm),
                    ontap: (at) => tap?.take(at),
                    ondrag: (key, at, isDone) => {
                        dragged = isDone ? null : at;
                        ondrag?.(key, at, isDone);
                    },
                });
                // What it shows follows by the effects below, before the next frame.
                requestAnimationFrame(() => scene?.look('corner'));
                Menu = menu.default;
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
        void looks.glass;
        scene?.dress(untrack(() => $state.snapshot(looks)));
        scene?.show(scenery);
    });

    $effect(() => {
        scene?.dress($state.snapshot(looks));
    });

    $effect(() => {
        scene?.open(opening);
    });

    $effect(() => {
        scene?.tapOn(tap?.on ?? null);
    });

    let turnedTo = untrack(() => near);
    $effect(() => {
        if (near === turnedTo) return;
        turnedTo = near;
        scene?.open(null);
        if (opening) scene?.open(opening);
        else scene?.look('corner');
    });

    // Held another way it is another picture, so the eye goes where all of it is seen.
    const heldAs = $derived(held ? JSON.stringify([held.pose.up, held.pose.standing]) : '');
    let seenAs = untrack(() => heldAs);
    $effect(() => {
        if (heldAs === seenAs) return;
        seenAs = heldAs;
        scene?.look('corner');
    });

    let seen = untrack(() => grown);
    $effect(() => {
        if (grown === seen) return;
        seen = grown;
        scene?.seeAll();
    });

    $effect(() => {
        if (showing.length > 0) scene?.playInsertion(showing);
    });

    const shown = (mm: number) => lengthText(mm, desk.view.units, 2);
</script>

<div class="relative h-full min-h-64 grow overflow-hidden">
    <canvas
        bind:this={canvas}
        class="absolute inset-0 h-full w-full touch-none"
        aria-label="The runs in 3D. Drag to turn, scroll to come closer, press a bend, a port or a keep-out to choose it."
    ></canvas>
    <div
        bind:this={layer}
        class="pointer-events-none absolute inset-0 overflow-hidden"
        aria-hidden="true"
    ></div>
    {#if failure}
        <p class="absolute inset-x-6 top-14">{failure}</p>
    {/if}
    {#if !plain}
        <div class="absolute top-2 left-2 flex flex-wrap gap-1" role="group" aria-label="Views">
            {#each views as view (view.id)}
                <button
                    type="button"
                    class="label bg-sheet border-line hover:border-ink border px-2 py-1"
                    onclick={() => scene?.look(view.id)}>{view.name}</button
                >
            {/each}
            <button
                type="button"
                class="label border px-2 py-1 {looks.isMeasuring
                    ? 'bg-action text-on-action border-action'
                    : 'bg-sheet border-line hover:border-ink'}"
                aria-pressed={looks.isMeasuring}
                onclick={() => (looks.isMeasuring = !looks.isMeasuring)}>Measure</button
            >
            {#if Menu}
                <Menu bind:looks reach={(axis) => scene?.reach(axis) ?? [0, 1]} units={desk.view.units} />
            {/if}
        </div>
    {/if}
    <p class="label absolute bottom-2 left-2" aria-live="polite">
        {#if dragged}
            <span class="figure text-ink text-[0.95rem]"
                >rearward {shown(dragged[0])} · right {shown(dragged[1])} · up {shown(dragged[2])}</span
            >
        {:else if tap}
            <span class="text-ink text-[0.95rem]">press {tap.on} where it is meant</span>
        {:else if looks.isMeasuring}
            <span class="text-ink text-[0.95rem]"
                >{#if measured === null}press two places{:else}<span class="figure">{shown(measured)}</span> from
                    place to place{/if}</span
            >
        {:else}
            grid {grid.text} · {held ? 'drag it round' : 'arrows show the flow'}{!held &&
            desk.plan.runs.length > 1
                ? ' · bands count the runs'
                : ''}
        {/if}
    </p>
</div>
