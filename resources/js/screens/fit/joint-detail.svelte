<script lang="ts">
    import { ToggleGroup } from 'bits-ui';
    import JointDial from '@/parts/joint-dial.svelte';
    import { isRun, type Member } from '@/lib/job-desk.svelte';
    import type { Joint, JointAccess, Sheet } from '@/lib/answers';
    import { reachText } from './reach-text';

    type Props = {
        member: Member;
        joint: Joint;
        sheet: Sheet | undefined;
        access: JointAccess | undefined;
        /** Where tacks pull it to its place, in degrees. */
        pulling: number[];
        /** Where it is looked at: on the bench, as the runs go in, with all of them in place, on the vehicle. */
        where: 'alone' | 'inTurn' | 'together' | 'inPlace';
    };
    let { member, joint, sheet, access, pulling, where }: Props = $props();

    let tacks = $state<'trial' | 'full'>('full');
    const fittings = $derived(isRun(member) ? member.fittings : []);
    const bung = $derived(fittings.find((one) => one.joint === joint.id));
    const piece = $derived(member.pieces.find((one) => one.mark === joint.and));
    const last = $derived(member.pieces.at(-1));
    const fit = $derived(access?.[where]);
    const places = {
        alone: 'by itself on the bench',
        inTurn: 'with the runs that went in before',
        together: 'with the runs in place',
        inPlace: 'on the vehicle, with all in place',
    };
</script>

{#snippet row(name: string, value: string, isFigure = true)}
    <div class="flex flex-wrap justify-between gap-x-3">
        <dt class="text-quiet">{name}</dt>
        <dd class={isFigure ? 'figure' : ''}>{value}</dd>
    </div>
{/snippet}

<section class="sheet min-w-0 self-start p-3" aria-label="Joint {joint.id}">
    <div class="flex flex-wrap items-baseline justify-between gap-2">
        <h2 class="heading">
            {joint.id} <span class="text-quiet font-normal">{joint.typeLabel}</span>
        </h2>
        {#if sheet && joint.round}
            <ToggleGroup.Root
                type="single"
                value={tacks}
                onValueChange={(value) => (tacks = value === 'trial' ? 'trial' : 'full')}
                class="flex"
                aria-label="Which tacks"
            >
                {#each ['trial', 'full'] as kind (kind)}
                    <ToggleGroup.Item
                        value={kind}
                        class="label border-strong data-[state=on]:bg-ink data-[state=on]:text-paper border px-2 py-0.5 capitalize"
                        >{kind} tacks</ToggleGroup.Item
                    >
                {/each}
            </ToggleGroup.Root>
        {/if}
    </div>
    {#if joint.round}
        <div class="flex justify-center">
            <JointDial
                {joint}
                {sheet}
                {fittings}
                {tacks}
                reached={fit?.arcs ?? null}
                first={where === 'inTurn' ? (access?.sideFirst ?? []) : []}
                {pulling}
                size={264}
            />
        </div>
        <p class="label text-center">
            {#if where === 'inTurn'}<strong class="text-action">Outer arc: welded now.</strong>{/if}
            looking with the flow, {joint.between} → {joint.and} · strokes: index mark, on the inside of the bend
            before
        </p>
    {:else}
        <p class="mt-1">
            {joint.between} to {joint.and}: a seam of <span class="figure">{joint.seam.text}</span> with two ends.
        </p>
    {/if}
    {#if access && fit}
        <div class="border-line mt-2 border-y py-1.5" aria-label="Reach">
            <p class="flex flex-wrap items-baseline gap-x-3">
                <span class="figure text-lg font-medium {fit.isWhole ? '' : 'text-stop'}"
                    >{fit.isWhole ? '✓ all round' : `△ ${fit.share.text}`}</span
                >
                <span
                    >cup <span class="figure">#{fit.cup}</span>{fit.isLong ? ', tungsten far out' : ''},
                    {places[where]}</span
                >
            </p>
            <p class="text-quiet text-sm">{reachText(access)}</p>
            {#if access.advice}<p>△ {access.advice}</p>{/if}
        </div>
    {/if}
    <dl class="mt-2 space-y-0.5">
        {@render row('Index mark', joint.index.text, false)}
        {#if piece?.clocking}
            {@render row(
                `Turn ${piece.mark}, seen with the flow`,
                `${piece.clocking.turn.text} = ${piece.clocking.around.text} ${piece.clocking.way}`,
            )}
        {/if}
        {#if bung}
            {@render row(`On ${bung.piece}, from its upstream end`, bung.fromPieceStart.text)}
            {@render row(
                'Round with the flow, from the inside of the bend',
                `${bung.fromThroat.turn.text} = ${bung.fromThroat.around.text} ${bung.fromThroat.way}`,
            )}
        {/if}
        {#if joint.type.startsWith('slip') && last}
            {@render row(`Slip depth of ${last.mark}`, last.slip.text)}
        {/if}
        {#if sheet && joint.round}
            {@render row(
                'Tacks',
                `${tacks === 'full' ? sheet.tacks.full.length : sheet.tacks.trial.length} × ${sheet.tacks.length.text}`,
            )}
        {/if}
    </dl>
    <p class="text-quiet mt-2 text-sm">
        {#if !sheet}
            Slides together and can be drawn apart again: a strap or a clamp holds it, no tack.
        {:else if !joint.round}
            First tack at the crotch, the end towards the inlets, then down each side; a shim keeps bent
            inlets apart.
        {:else if tacks === 'trial'}
            Two close together on one side: it holds, and can still be hinged. {sheet.tacks.trialWhy}
        {:else}
            Opposite pairs in turn; the last on the side the tube should move towards.
            {#if sheet.tacks.shielded.length > 0}
                The weld does not melt {sheet.tacks.shielded.map((deg) => `${Math.round(deg)}°`).join(', ')} again:
                shield the root there while it is tacked.
            {/if}
        {/if}
    </p>
</section>
