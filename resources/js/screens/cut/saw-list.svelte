<script lang="ts">
    // Pieces in the order they are sawn: all that one set-up of the saw can cut stands together.
    import FigureCell from '@/parts/figure-cell.svelte';
    import type { Piece } from '@/lib/answers';
    import type { CuttingDesk } from '@/lib/cutting.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = {
        desk: JobDesk;
        pieces: Piece[];
        chosen: string;
        cutting: CuttingDesk;
        mayTick: boolean;
    };
    let { desk, pieces, chosen, cutting, mayTick }: Props = $props();

    const byMark = $derived(new Map(pieces.map((piece) => [piece.mark, piece])));
    const cut = $derived(cutting.state?.cut ?? {});
    const slips = $derived(pieces.some((piece) => (piece.slip.value ?? 0) > 0));
    const groups = $derived(
        (cutting.state?.setUps ?? [])
            .map((setUp) => ({
                key: `${setUp.tube} ${setUp.clr?.value ?? 0}`,
                title: `${setUp.clr ? `Bends on ${setUp.clr.text}` : 'Straights'}, ${setUp.name}`,
                stops: setUp.clr ? 0 : setUp.stops,
                pieces: setUp.marks.flatMap((mark) => byMark.get(mark) ?? []),
            }))
            .filter((group) => group.pieces.length > 0),
    );
    // Pieces that are newer than what the saw was told.
    const listed = $derived(new Set(groups.flatMap((group) => group.pieces.map(({ mark }) => mark))));
    const others = $derived(pieces.filter(({ mark }) => !listed.has(mark)));
    const shown = $derived(
        others.length > 0 ? [...groups, { key: '', title: 'Pieces', stops: 0, pieces: others }] : groups,
    );
    const done = $derived(pieces.filter(({ mark }) => cut[mark]).length);
</script>

{#snippet row(piece: Piece)}
    {@const isCut = cut[piece.mark] !== undefined}
    <tr class={piece.mark === chosen ? 'bg-wash' : ''}>
        <td data-label="Piece">
            <button
                type="button"
                class="heading underline decoration-dotted underline-offset-4"
                onclick={() => desk.look({ kind: 'piece', id: piece.mark })}>{piece.mark}</button
            >{#if isCut}<span class="text-action font-label ml-2" title="Cut by {cut[piece.mark]?.by}"
                    >● cut</span
                >{/if}
        </td>
        <td class="figure text-sm" data-label="From">{piece.stock}</td>
        <td class="figure num font-medium" data-label="Cut length">{piece.cutLength.text}</td>
        <td class="figure num text-quiet" data-label="Finished">{piece.length.text}</td>
        <td class="figure num" data-label="Bend"
            >{piece.isBend ? piece.angle.text : piece.pie ? `${piece.angle.text} of wedges` : '–'}</td
        >
        <td class="num" data-label="Left long"><FigureCell figure={piece.trim} {desk} /></td>
        <td class="num" data-label="Shrink"><FigureCell figure={piece.shrink} {desk} /></td>
        {#if slips}<td class="num" data-label="Slip depth"
                >{#if piece.slip.value || piece.slip.override}<FigureCell
                        figure={piece.slip}
                        {desk}
                    />{:else}<span class="figure">–</span>{/if}</td
            >{/if}
        <td class="figure num" data-label="Mass">{piece.mass.text}</td>
    </tr>
{/snippet}

<section class="sheet" aria-label="Cut list">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4 px-3 pt-2">
        <h2 class="heading">At the saw</h2>
        <p class="text-quiet text-sm">
            {#if desk.isDraft}
                Pieces are ticked off once the plan is released.
            {:else}
                <span class="figure">{done}</span> of <span class="figure">{pieces.length}</span> cut{mayTick
                    ? ''
                    : '; looking on only'}.
            {/if}
            Lengths go to a mark of the tape, all pieces of a run together.
        </p>
    </div>
    <table class="table-plain table-stack">
        <thead>
            <tr
                ><th>Piece</th><th>From</th><th class="num">Cut length</th><th class="num">Finished</th><th
                    class="num">Bend</th
                ><th class="num">Left long</th><th class="num">Shrink</th>{#if slips}<th class="num"
                        >Slip depth</th
                    >{/if}<th class="num">Mass</th></tr
            >
        </thead>
        {#each shown as group (group.key)}
            <tbody aria-label={group.title}>
                <tr class="stack-head">
                    <th colspan={slips ? 9 : 8} scope="rowgroup" class="font-label text-left font-semibold">
                        {group.title}{#if group.stops > 0}<span class="text-quiet font-normal"
                                >, {group.pieces.length}
                                {group.pieces.length === 1 ? 'piece' : 'pieces'}, the stop is set {group.stops ===
                                1
                                    ? 'once'
                                    : group.stops === 2
                                      ? 'twice'
                                      : `${group.stops} times`}</span
                            >{/if}
                    </th>
                </tr>
                {#each group.pieces as piece (piece.mark)}{@render row(piece)}{/each}
            </tbody>
        {/each}
    </table>
</section>
