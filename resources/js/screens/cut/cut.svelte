<script lang="ts">
    import { untrack } from 'svelte';
    import { CuttingDesk } from '@/lib/cutting.svelte';
    import { isRun } from '@/lib/job-desk.svelte';
    import MemberStrip from '@/parts/member-strip.svelte';
    import Templates from '@/parts/templates.svelte';
    import Nowhere from '../job/nowhere.svelte';
    import type { StageProps } from '../job/stages';
    import CutOff from './cut-off.svelte';
    import JointsHere from './joints-here.svelte';
    import Nestings from './nestings.svelte';
    import PieceDrawing from './piece-drawing.svelte';
    import SawList from './saw-list.svelte';
    import Saws from './saws.svelte';
    import Shopping from './shopping.svelte';
    import WrongLengths from '@/parts/wrong-lengths.svelte';

    let { desk, mayLog, mayPlan, onstage }: StageProps = $props();

    const cutting = new CuttingDesk(untrack(() => desk));
    // What is at the saw goes by what is stored.
    $effect(() => {
        if (desk.revision.version && !desk.unsaved) untrack(() => void cutting.load());
    });

    const pieces = $derived(desk.shown.flatMap((run) => run.pieces));
    const chosen = $derived(
        pieces.find((piece) => desk.selection?.kind === 'piece' && piece.mark === desk.selection.id) ??
            pieces.find((piece) => !cutting.state?.cut[piece.mark]) ??
            pieces[0],
    );
    const member = $derived(chosen ? desk.memberOf(chosen.mark) : undefined);
    /** Bends have none; what is cut to a line round a straight has, and so have wedges. */
    const templates = $derived(
        chosen && member
            ? [
                  ...(chosen.template && !(chosen.isBend && !isRun(member)) ? [chosen.mark] : []),
                  ...(chosen.pie ? [`${chosen.mark}-wedge`] : []),
              ]
            : [],
    );
    const mayTick = $derived(mayLog && !desk.isDraft && (cutting.state?.released ?? false));
</script>

{#if member && chosen}
    <MemberStrip
        {member}
        selection={{ kind: 'piece', id: chosen.mark }}
        onselect={(picked) => (desk.selection = picked)}
        pieceFact={(piece) => piece.cutLength.text}
    />
    <WrongLengths wrong={cutting.state?.wrong ?? []} open />
    <!-- Where there is one column, what is pressed at the saw comes first. -->
    <div
        class="grid grid-cols-[minmax(0,1fr)] gap-2 xl:grid-cols-[minmax(0,1fr)_26rem] xl:grid-rows-[auto_1fr]"
    >
        <div class="min-w-0 xl:col-start-2 xl:row-start-1">
            <CutOff piece={chosen} {cutting} {mayTick} />
        </div>
        <div class="min-w-0 space-y-2 xl:col-start-1 xl:row-span-2 xl:row-start-1">
            <SawList {desk} {pieces} chosen={chosen.mark} {cutting} {mayTick} />
            <Shopping {desk} {cutting} {mayPlan} {mayTick} />
            <Nestings nestings={desk.plan.cut.nestings} only={desk.only} />
        </div>
        <div class="min-w-0 space-y-2 xl:col-start-2 xl:row-start-2">
            <PieceDrawing piece={chosen} odMm={member.tube?.od.value ?? 50} />
            {#if templates.length > 0}
                <Templates {desk} marks={templates} />
            {/if}
            {#if mayPlan && isRun(member)}
                <JointsHere
                    piece={chosen}
                    {desk}
                    first={member.pieces[0]?.mark === chosen.mark}
                    last={member.pieces.at(-1)?.mark === chosen.mark}
                />
            {/if}
            <Saws saws={cutting.state?.saws ?? []} />
        </div>
    </div>
{:else}
    <Nowhere text="Pieces follow from a route that can be cut from stock." {onstage} />
{/if}
