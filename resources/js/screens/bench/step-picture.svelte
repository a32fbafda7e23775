<script lang="ts">
    // What a step is about, to be read at arm's length: the joint end-on with its tacks, the piece as it is held and filled, the
    // figures to set.
    import type { Step } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import HeldDrawing from '@/parts/held-drawing.svelte';
    import JointDial from '@/parts/joint-dial.svelte';
    import { isRun } from '@/lib/job-desk.svelte';
    import PieceOutline from '@/parts/piece-outline.svelte';
    import WhereStrip from '@/parts/where-strip.svelte';

    type Props = { desk: JobDesk; step: Step };
    let { desk, step }: Props = $props();

    const TO_SET = ['amps', 'filler', 'wire', 'flow'];

    /** Whose piece is cut at this step, if one is. */
    const member = $derived(
        step.kind === 'prepare'
            ? [...desk.plan.runs, ...desk.plan.merge.collectors].find((one) =>
                  one.pieces.some((piece) => piece.mark === step.subject),
              )
            : undefined,
    );
    const piece = $derived(member?.pieces.find((one) => one.mark === step.subject));
    /** The run that the joint or the piece is on; a collector is no line to lay out. */
    const run = $derived(
        [member, desk.memberOf(step.subject)].find((one) => one !== undefined && isRun(one)),
    );
    const sheet = $derived(desk.plan.weld.sheets.find((one) => one.joint === step.subject));
    const joint = $derived(desk.memberOf(step.subject)?.joints.find((one) => one.id === step.subject));
    const slot = $derived(desk.plan.schedule.slots.find((one) => one.joint === step.subject));
    const pose = $derived(sheet ? desk.plan.weld.poses[sheet.pose] : undefined);
    const access = $derived(desk.plan.fit.access.find((one) => one.joint === step.subject));
    const reached = $derived(access?.[slot?.phase === 'together' ? 'together' : 'alone'].arcs ?? null);
    const settings = $derived(
        step.clock === 'up' ? TO_SET.flatMap((name) => sheet?.settings[name] ?? []) : [],
    );
    const isTacked = $derived(step.kind === 'tack' || step.kind === 'full');
    const hasDial = $derived(!!joint?.round && (step.clock === 'up' || isTacked));
</script>

{#if run && isRun(run) && (joint || piece)}
    <WhereStrip {run} {joint} piece={piece?.mark ?? ''} />
{/if}
{#if settings.length > 0}
    <dl
        class="border-line grid grid-cols-[repeat(auto-fit,minmax(9rem,1fr))] gap-x-4 gap-y-2 border-b pb-3"
        aria-label="To set"
    >
        {#each settings as figure (figure.key)}
            <div>
                <dt class="label text-base">{figure.label}</dt>
                <dd class="figure text-3xl leading-tight font-medium whitespace-nowrap">{figure.text}</dd>
            </div>
        {/each}
    </dl>
{/if}
{#if piece && step.kind === 'prepare'}
    <div class="mx-auto w-full max-w-2xl">
        <PieceOutline {piece} odMm={member?.tube?.od.value ?? 50} marked />
        <p class="label text-center text-base">flow from the left · solid: cuts · dashed: sand to here</p>
    </div>
{/if}
{#if step.kind === 'purge' && sheet?.isFilled && pose}
    <div class="mx-auto w-full max-w-2xl">
        <HeldDrawing
            {pose}
            runs={desk.plan.runs}
            collectors={desk.plan.merge.collectors}
            taped={slot?.taped ?? []}
            joint={step.subject}
        />
    </div>
{:else if joint && hasDial}
    <div class="mx-auto w-fit">
        <JointDial {joint} {sheet} tacks={step.kind === 'tack' ? 'trial' : 'full'} {reached} size={230} />
    </div>
{/if}
