<script lang="ts">
    // A run unrolled, or a collector with its pieces and seams side by side: the strip above what is shown of it.
    import { isRun, type Member, type Selection } from '@/lib/job-desk.svelte';
    import type { Joint, Piece } from '@/lib/answers';
    import Ribbon from './ribbon.svelte';

    type Props = {
        member: Member;
        selection?: Selection;
        onselect?: (selection: Selection) => void;
        pieceFact?: (piece: Piece) => string;
        jointFact?: (joint: Joint) => string;
        jointDone?: (joint: Joint) => boolean;
    };
    let { member, ...rest }: Props = $props();

    const look = (isOn: boolean) =>
        isOn ? 'bg-action text-on-action border-action' : 'border-strong bg-sheet hover:border-ink';
    const isOn = (kind: string, id: string) => rest.selection?.kind === kind && rest.selection.id === id;
</script>

{#if isRun(member)}
    <Ribbon run={member} {...rest} />
{:else}
    <section
        class="sheet flex flex-wrap items-center gap-x-4 gap-y-1 px-3 py-2"
        aria-label="Collector {member.letter}"
    >
        <p class="heading">
            {member.letter} <span class="text-quiet font-normal">{member.name}</span>
        </p>
        <div class="flex flex-wrap gap-1">
            {#each member.pieces as piece (piece.mark)}
                <button
                    type="button"
                    class="figure border px-1.5 text-[0.78rem] {look(isOn('piece', piece.mark))}"
                    aria-pressed={isOn('piece', piece.mark)}
                    onclick={() => rest.onselect?.({ kind: 'piece', id: piece.mark })}
                    >{piece.mark} {rest.pieceFact?.(piece) ?? piece.length.text}</button
                >
            {/each}
        </div>
        <div class="flex flex-wrap gap-1">
            {#each member.joints as joint (joint.id)}
                <button
                    type="button"
                    class="figure border px-1.5 text-[0.78rem] {look(isOn('joint', joint.id))}"
                    aria-pressed={isOn('joint', joint.id)}
                    title="{joint.typeLabel}, {joint.between} to {joint.and}"
                    onclick={() => rest.onselect?.({ kind: 'joint', id: joint.id })}
                    >{rest.jointDone?.(joint) ? '✓' : ''}{joint.id} {rest.jointFact?.(joint) ?? ''}</button
                >
            {/each}
        </div>
    </section>
{/if}
