<script lang="ts">
    // Two tubes stand and a gap is left between them: read round it, it says what piece goes in.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { ClosingPiece } from '@/lib/answers';
    import { errorsOf } from '@/lib/http';
    import { sendInTurn } from '@/lib/in-turn';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; letter: string };
    let { desk, letter }: Props = $props();

    const GAPS = [
        { key: 'at12', label: 'At 12' },
        { key: 'at3', label: 'At 3' },
        { key: 'at6', label: 'At 6' },
        { key: 'at9', label: 'At 9' },
    ] as const;
    let open = $state(false);
    let read = $state({ at12: '', at3: '', at6: '', at9: '', proud12: '', proud3: '' });
    let piece = $state.raw<ClosingPiece | null>(null);
    let errors = $state.raw<Record<string, string[]>>({});
    const err = (key: string) => errors[key]?.[0] ?? '';

    async function ask(): Promise<void> {
        const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/fit/closing-piece`, 'ClosingPiece', {
            document: desk.document,
            letter,
            ...$state.snapshot(read),
        });
        piece = reply.ok ? reply.data : null;
        errors = reply.ok ? {} : errorsOf(reply, 'gap');
    }
</script>

<section class="sheet p-3" aria-label="Closing piece from the gap">
    <button
        type="button"
        class="flex w-full items-baseline gap-3 text-left"
        aria-expanded={open}
        onclick={() => (open = !open)}
    >
        <span class="heading">Closing piece from the gap</span>
        <span class="label ml-auto">{open ? 'close' : 'show'}</span>
    </button>
    {#if open}
        <p class="text-quiet mt-1 text-sm">
            Both ends stand, in the tube of run {letter}. Looking with the flow, read the gap at four places
            round it. Then lay a straight-edge across both: how far the far tube stands proud, minus where it
            stands back.
        </p>
        <form
            class="mt-2 grid grid-cols-2 gap-2"
            onsubmit={(event) => {
                event.preventDefault();
                void ask();
            }}
        >
            {#each GAPS as { key, label } (key)}
                <TextField
                    {label}
                    mono
                    required
                    value={read[key]}
                    error={err(key)}
                    oninput={(event) => (read[key] = event.currentTarget.value)}
                />
            {/each}
            <TextField
                label="Proud at 12"
                mono
                value={read.proud12}
                error={err('proud12')}
                oninput={(event) => (read.proud12 = event.currentTarget.value)}
            />
            <TextField
                label="Proud at 3"
                mono
                value={read.proud3}
                error={err('proud3')}
                oninput={(event) => (read.proud3 = event.currentTarget.value)}
            />
            <Button type="submit" look="main" class="col-span-2 justify-self-start">What goes in</Button>
        </form>
        {#if err('gap') || err('letter')}
            <p class="text-stop mt-2" role="alert">✕ {err('gap') || err('letter')}</p>
        {/if}
        {#if piece}
            <div class="mt-2 space-y-1" role="status">
                {#if piece.quarrel}<p class="text-stop">△ {piece.quarrel}</p>{/if}
                {#each piece.lines as line, i (i)}<p class={i === 0 ? 'font-medium' : ''}>{line}</p>{/each}
                {#if piece.skin.length > 0}
                    <table class="table-plain">
                        <caption class="sr-only">Length along its skin</caption>
                        <thead><tr><th>Clock</th><th class="num">along its skin</th></tr></thead>
                        <tbody>
                            {#each piece.skin as one (one.hour)}
                                <tr><td>{one.hour}</td><td class="figure num">{one.length.text}</td></tr>
                            {/each}
                        </tbody>
                    </table>
                    <a
                        class="tap text-action underline"
                        href="/jobs/{desk.view.id}/closing-piece.pdf?{new URLSearchParams({
                            letter,
                            ...read,
                        })}"
                        download>To wrap round the tube, as PDF</a
                    >
                {/if}
                <p class="text-quiet text-sm">{piece.sure}</p>
            </div>
        {/if}
    {/if}
</section>
