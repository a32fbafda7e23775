<script lang="ts">
    // A joint where somebody wants one, or none where there is one; what it costs is seen before it is taken.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { LessStock, Piece } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { wishJoint, type JointWish } from '@/lib/less-stock';
    import CutOffer from './cut-offer.svelte';

    type Props = { piece: Piece; desk: JobDesk; first: boolean; last: boolean };
    let { piece, desk, first, last }: Props = $props();

    let at = $state('');
    let offer = $state.raw<LessStock | null>(null);
    let failure = $state('');
    /** For which piece and document the answer is. */
    let asked = $state.raw<[string, unknown]>(['', null]);
    const isFor = $derived(asked[0] === piece.mark && asked[1] === desk.document);

    async function look(wish: JointWish): Promise<void> {
        const document = desk.document;
        const answer = await wishJoint(desk, piece.mark, wish, at);
        asked = [piece.mark, document];
        failure = typeof answer === 'string' ? answer : '';
        offer = typeof answer === 'string' ? null : answer;
    }
</script>

<section class="sheet p-3" aria-label="Joints of {piece.mark}">
    <h2 class="heading">Joints of {piece.mark}</h2>
    <div class="mt-1 flex flex-wrap items-end gap-2">
        <Button disabled={first} onclick={() => look('without-before')}>Without the one before</Button>
        <Button disabled={last} onclick={() => look('without-after')}>Without the one after</Button>
        {#if piece.angle.value > 0 && !piece.pie}
            <Button onclick={() => look('from-donut')}>Its bend from a donut</Button>
        {/if}
    </div>
    <form
        class="mt-2 flex items-end gap-2"
        onsubmit={(event) => {
            event.preventDefault();
            void look('split');
        }}
    >
        <TextField
            label="Split it, from its upstream end"
            value={at}
            mono
            class="min-w-0 grow"
            oninput={(event) => (at = event.currentTarget.value)}
        />
        <Button type="submit" disabled={at.trim() === ''}>What would it cost</Button>
    </form>
    {#if isFor && failure}<p class="text-stop mt-1" role="alert">✕ {failure}</p>{/if}
    {#if isFor && offer}<CutOffer {offer} {desk} word="With it" ontaken={() => (at = '')} />{/if}
</section>
