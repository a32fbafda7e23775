<script lang="ts">
    // A joint as it was measured: what to do about it, and where tacks pull it to its place.
    import { tick } from 'svelte';
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { FitUp, Joint } from '@/lib/answers';
    import { said } from '@/lib/http';
    import { sendInTurn } from '@/lib/in-turn';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; joint: Joint; ontacks: (degrees: number[]) => void };
    let { desk, joint, ontacks }: Props = $props();

    let gap = $state('');
    let mismatch = $state('');
    let off = $state('');
    let towards = $state('');
    let answer = $state.raw<FitUp | null>(null);
    let failure = $state('');
    let asked = $state('');
    let told: HTMLElement | undefined = $state();
    const isFor = $derived(asked === joint.id);

    async function look(): Promise<void> {
        const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/fit/measured`, 'FitUp', {
            document: desk.document,
            joint: joint.id,
            gap,
            mismatch,
            off,
            towards,
        });
        asked = joint.id;
        answer = reply.ok ? reply.data : null;
        failure = reply.ok ? '' : said(reply);
        ontacks(reply.ok ? reply.data.tacks : []);
        await tick();
        told?.scrollIntoView({ block: 'nearest' });
    }
</script>

<section class="sheet p-3" aria-label="As measured, {joint.id}">
    <h2 class="heading">As measured</h2>
    <form
        class="mt-1 grid grid-cols-2 gap-2"
        onsubmit={(event) => {
            event.preventDefault();
            void look();
        }}
    >
        <TextField label="Widest gap" value={gap} mono oninput={(e) => (gap = e.currentTarget.value)} />
        <TextField
            label="Mismatch, high-low"
            value={mismatch}
            mono
            oninput={(e) => (mismatch = e.currentTarget.value)}
        />
        {#if joint.round}
            <TextField
                label="Its far end off by"
                value={off}
                mono
                oninput={(e) => (off = e.currentTarget.value)}
            />
            <TextField
                label="To go towards, ° on the dial"
                value={towards}
                mono
                oninput={(e) => (towards = e.currentTarget.value)}
            />
        {/if}
        <Button type="submit" class="col-span-2 justify-self-start">What now</Button>
    </form>
    <div bind:this={told} aria-live="polite">
        {#if isFor && failure}<p class="text-stop mt-1" role="alert">✕ {failure}</p>{/if}
        {#if isFor && answer}
            <p class="mt-2 font-medium {answer.verdict === 'refit' ? 'text-stop' : ''}">
                {answer.verdict === 'refit' ? '✕' : answer.verdict === 'weld' ? '✓' : '△'}
                {answer.label}
            </p>
            {#each answer.lines as line, i (i)}<p>{line}</p>{/each}
        {/if}
    </div>
</section>
