<script lang="ts">
    // One piece ticked off as cut: its length if it was measured, and what that says.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Piece } from '@/lib/answers';
    import type { CuttingDesk } from '@/lib/cutting.svelte';
    import { when } from '@/lib/when';

    type Props = { piece: Piece; cutting: CuttingDesk; mayTick: boolean };
    let { piece, cutting, mayTick }: Props = $props();

    let length = $state('');
    let typedFor = '';
    $effect(() => {
        // What was typed belongs to the piece it was typed for.
        if (typedFor !== piece.mark) [typedFor, length, why] = [piece.mark, '', ''];
    });

    const done = $derived(cutting.state?.cut[piece.mark]);
    const stock = $derived(cutting.state?.opened.find((one) => one.marks.includes(piece.mark)));
    const refused = $derived(cutting.refused?.mark === piece.mark ? cutting.refused : null);
    let why = $state('');
    const STANDING = { taken: '● open at the saw', there: '○ in the stores', missing: '✕ not in the stores' };
    async function tick(undo: boolean): Promise<void> {
        if (await cutting.tick(piece.mark, undo ? '' : length, undo, why.trim())) length = why = '';
    }
</script>

{#if stock}
    <section class="sheet p-3" aria-label="Cut {piece.mark}">
        <div class="flex flex-wrap items-baseline justify-between gap-x-3">
            <h2 class="heading">
                {piece.mark} <span class="text-quiet font-normal">from</span>
                <span class="figure text-base">{stock.stock}</span>
            </h2>
            <p class={stock.standing === 'missing' ? 'text-stop font-medium' : 'text-quiet'}>
                {STANDING[stock.standing]}{stock.location && stock.standing === 'there'
                    ? `, ${stock.location}`
                    : ''}
            </p>
        </div>
        {#if stock.marks.length > 1 || stock.left.length > 0}
            <p class="text-quiet text-sm">
                {#if stock.marks.length > 1}With {stock.marks
                        .filter((mark) => mark !== piece.mark)
                        .join(', ')} out of the same.{/if}
                {#each stock.left as left, i (i)}{i > 0 ? '; ' : 'Left: '}<span class="figure"
                        >{left.text}</span
                    >{left.kept ? ' to the offcuts' : ''}{/each}{stock.left.length > 0 ? '.' : ''}
            </p>
        {/if}
        {#if mayTick}
            {#if done}
                <p class="mt-2 flex flex-wrap items-center justify-between gap-2">
                    <span
                        >● Cut{#if done.length}, measured <b class="figure">{done.length}</b>{/if}
                        <span class="text-quiet text-sm">· {done.by}, {when(done.at)}</span></span
                    >
                    <Button look="quiet" disabled={cutting.busy} onclick={() => tick(true)}
                        >Not cut after all</Button
                    >
                </p>
            {:else}
                <form
                    class="mt-2 flex items-end gap-2"
                    onsubmit={(event) => {
                        event.preventDefault();
                        void tick(false);
                    }}
                >
                    <TextField
                        label="Length as measured, if you did"
                        value={length}
                        placeholder={piece.cutLength.text}
                        mono
                        class="min-w-0 grow"
                        oninput={(event) => (length = event.currentTarget.value)}
                    />
                    <Button look="main" type="submit" class="min-h-14 px-5 text-lg" disabled={cutting.busy}
                        >{piece.mark} is cut</Button
                    >
                </form>
            {/if}
            {#if refused}
                <div class="mt-2" role="alert">
                    <p class="text-stop font-medium">✕ {refused.lines[0]}</p>
                    {#each refused.lines.slice(1) as line (line)}<p>{line}</p>{/each}
                </div>
                {#if refused.isAsked && !done}
                    <form
                        class="mt-2 flex flex-wrap items-end gap-2"
                        onsubmit={(event) => {
                            event.preventDefault();
                            void tick(false);
                        }}
                    >
                        <TextField
                            label="Why you go on all the same"
                            value={why}
                            class="min-w-48 grow"
                            oninput={(event) => (why = event.currentTarget.value)}
                        />
                        <Button type="submit" class="min-h-14" disabled={cutting.busy || why.trim() === ''}
                            >Log it with this reason</Button
                        >
                    </form>
                {/if}
            {/if}
        {/if}
    </section>
{/if}
