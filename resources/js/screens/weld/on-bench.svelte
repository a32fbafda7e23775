<script lang="ts">
    // The piece as it lies on the bench for one weld: how it is held, where argon goes in and out, what is taped.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Joint, Sheet, Slot } from '@/lib/answers';
    import FigureCell from '@/parts/figure-cell.svelte';
    import JointDial from '@/parts/joint-dial.svelte';
    import Viewport from '@/parts/viewport/viewport.svelte';

    type Props = { desk: JobDesk; slot: Slot; sheet: Sheet; joint: Joint };
    let { desk, slot, sheet, joint }: Props = $props();

    const pose = $derived(desk.plan.weld.poses[sheet.pose]);

    const held = $derived(pose ? { pose, taped: slot.taped } : null);
    /** How it is held, to choose from all ways there are. */
    const way = $derived(
        sheet.settings['held'] && {
            ...sheet.settings['held'],
            options: pose?.ways.map((value) => ({ value, refused: '' })) ?? [],
        },
    );
    const access = $derived(desk.plan.fit.access.find((one) => one.joint === slot.joint));
    /** What a torch does not get to is said where that has been worked out. */
    const ALL_ROUND: [number, number][] = [[0, 360]];
    const seam = $derived({
        joint: slot.joint,
        reached: access?.[slot.phase === 'together' ? 'together' : 'alone'].arcs ?? ALL_ROUND,
    });
</script>

<section class="sheet" aria-label="On the bench for {slot.joint}">
    <p class="border-line flex flex-wrap items-baseline justify-between gap-x-3 border-b px-3 py-1.5">
        <span class="heading">On the bench for {slot.joint}</span>
        <span class="text-quiet text-sm">{pose?.standing.join(' + ')}, as it is held</span>
    </p>
    <div class="grid md:grid-cols-[minmax(0,1fr)_17rem]">
        <div class="flex min-h-[23rem] flex-col">
            <Viewport {desk} standing={pose?.standing ?? []} {held} {seam} plain />
        </div>
        <div class="border-line space-y-2 p-3 max-md:border-t md:border-l">
            {#if way}
                <p>
                    <span class="label block">{way.label}</span>
                    <FigureCell figure={way} {desk} />
                </p>
            {/if}
            <ol class="space-y-1.5" aria-label="Purge of {slot.joint}">
                {#each pose?.lines ?? [] as line, i (i)}<li>{line}</li>{/each}
                {#if slot.taped.length > 0}
                    <li>Stays taped: <span class="figure">{slot.taped.join(', ')}</span>.</li>
                {/if}
                <li>{sheet.begin}</li>
                <li>{pose?.closing}</li>
            </ol>
            {#if joint.round && sheet.tacks.full.length > 0}
                <div class="mx-auto w-fit">
                    <JointDial {joint} {sheet} reached={access ? seam.reached : null} size={210} />
                </div>
            {/if}
        </div>
    </div>
</section>
