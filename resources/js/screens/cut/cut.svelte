<script lang="ts">
    import FigureCell from '@/parts/figure-cell.svelte';
    import Ribbon from '@/parts/ribbon.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import Nestings from './nestings.svelte';
    import PieceDrawing from './piece-drawing.svelte';
    import StockTable from './stock-table.svelte';

    let { desk, onstage }: StageProps = $props();

    const pieces = $derived(desk.shown.flatMap((run) => run.pieces));
    const chosen = $derived(
        pieces.find((piece) => desk.selection?.kind === 'piece' && piece.mark === desk.selection.id) ??
            pieces[0],
    );
    const run = $derived(chosen ? desk.runOf(chosen.mark) : undefined);
    const slips = $derived(pieces.some((piece) => (piece.slip.value ?? 0) > 0));
</script>

{#if run && chosen}
    <Ribbon
        {run}
        selection={{ kind: 'piece', id: chosen.mark }}
        onselect={(picked) => (desk.selection = picked)}
        pieceFact={(piece) => piece.cutLength.text}
    />
    <div class="grid gap-2 xl:grid-cols-[1fr_26rem]">
        <div class="min-w-0 space-y-2">
            <StockTable cut={desk.plan.cut} {desk} />
            <section class="sheet" aria-label="Cut list">
                <table class="table-plain table-stack">
                    <thead>
                        <tr
                            ><th>Piece</th><th>From</th><th class="num">Cut length</th><th class="num"
                                >Finished</th
                            ><th class="num">Bend</th><th class="num">Turn</th><th class="num">Long by</th><th
                                class="num">Shrink</th
                            >{#if slips}<th class="num">Goes in</th>{/if}<th class="num">Mass</th></tr
                        >
                    </thead>
                    <tbody>
                        {#each pieces as piece (piece.mark)}
                            <tr class={piece.mark === chosen.mark ? 'bg-wash' : ''}>
                                <td data-label="Piece">
                                    <button
                                        type="button"
                                        class="heading underline decoration-dotted underline-offset-4"
                                        onclick={() => desk.look({ kind: 'piece', id: piece.mark })}
                                        >{piece.mark}</button
                                    >
                                </td>
                                <td class="figure text-sm" data-label="From">{piece.stock}</td>
                                <td class="figure num font-medium" data-label="Cut length"
                                    >{piece.cutLength.text}</td
                                >
                                <td class="figure num text-quiet" data-label="Finished"
                                    >{piece.length.text}</td
                                >
                                <td class="figure num" data-label="Bend"
                                    >{piece.isBend ? piece.angle.text : '–'}</td
                                >
                                <td class="figure num" data-label="Turn"
                                    >{piece.clocking ? piece.clocking.turn.text : '–'}</td
                                >
                                <td class="num" data-label="Long by"
                                    ><FigureCell figure={piece.trim} {desk} /></td
                                >
                                <td class="num" data-label="Shrink"
                                    ><FigureCell figure={piece.shrink} {desk} /></td
                                >
                                {#if slips}<td class="num" data-label="Goes in"
                                        >{#if piece.slip.value || piece.slip.override}<FigureCell
                                                figure={piece.slip}
                                                {desk}
                                            />{:else}<span class="figure">–</span>{/if}</td
                                    >{/if}
                                <td class="figure num" data-label="Mass">{piece.mass.text}</td>
                            </tr>
                        {/each}
                    </tbody>
                </table>
            </section>
            <Nestings nestings={desk.plan.cut.nestings} only={desk.only} />
        </div>
        <div class="min-w-0"><PieceDrawing piece={chosen} odMm={run.tube?.od.value ?? 50} /></div>
    </div>
{:else}
    <Nowhere text="Pieces follow from a route that can be cut from stock." {onstage} />
{/if}
