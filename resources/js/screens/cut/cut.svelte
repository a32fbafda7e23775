<script lang="ts">
    import FigureCell from '@/parts/figure-cell.svelte';
    import Ribbon from '@/parts/ribbon.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import Nesting from './nesting.svelte';
    import PieceDrawing from './piece-drawing.svelte';

    let { desk, onstage }: StageProps = $props();

    const run = $derived(desk.run);
    const chosen = $derived(
        run?.pieces.find((piece) => desk.selection?.kind === 'piece' && piece.mark === desk.selection.id) ??
            run?.pieces[0],
    );
</script>

{#if run && chosen}
    <Ribbon
        {run}
        selection={{ kind: 'piece', id: chosen.mark }}
        onselect={(picked) => (desk.selection = picked)}
        pieceFact={(piece) => piece.cutLength.text}
    />
    <div class="grid gap-2 lg:grid-cols-[1fr_26rem]">
        <div class="space-y-2">
            <section class="sheet overflow-x-auto" aria-label="Cut list">
                <table class="table-plain">
                    <thead>
                        <tr
                            ><th>Piece</th><th>From</th><th class="num">Cut length</th><th class="num"
                                >Finished</th
                            ><th class="num">Bend</th><th class="num">Turn</th><th class="num">Long by</th><th
                                class="num">Shrink</th
                            ><th class="num">Mass</th></tr
                        >
                    </thead>
                    <tbody>
                        {#each run.pieces as piece (piece.mark)}
                            <tr class={piece.mark === chosen.mark ? 'bg-wash' : ''}>
                                <td>
                                    <button
                                        type="button"
                                        class="heading underline decoration-dotted underline-offset-4"
                                        onclick={() => (desk.selection = { kind: 'piece', id: piece.mark })}
                                        >{piece.mark}</button
                                    >
                                </td>
                                <td class="figure text-sm">{piece.stock}</td>
                                <td class="figure num font-medium">{piece.cutLength.text}</td>
                                <td class="figure num text-quiet">{piece.length.text}</td>
                                <td class="figure num">{piece.isBend ? piece.angle.text : '–'}</td>
                                <td class="figure num">{piece.clocking ? piece.clocking.turn.text : '–'}</td>
                                <td class="num"><FigureCell figure={piece.trim} {desk} /></td>
                                <td class="num"><FigureCell figure={piece.shrink} {desk} /></td>
                                <td class="figure num">{piece.mass.text}</td>
                            </tr>
                        {/each}
                    </tbody>
                </table>
            </section>
            <Nesting {run} />
        </div>
        <PieceDrawing piece={chosen} odMm={run.tube?.od.value ?? 50} />
    </div>
{:else}
    <Nowhere text="Pieces follow from a route that can be cut from stock." {onstage} />
{/if}
