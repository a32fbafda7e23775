<script lang="ts">
    import Button from '@/kit/button.svelte';
    import type { LogLine, Step } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { ENTRY_WORDS } from '@/lib/log-queue';
    import { when } from '@/lib/when';

    type Props = { job: number; log: LogLine[]; earlier: number; steps: Step[] };
    let { job, log, earlier, steps }: Props = $props();

    /** Lines before those that came with the page, as far as somebody has asked for them. */
    let before = $state.raw<LogLine[]>([]);
    let left = $state<number | null>(null);
    let failure = $state('');
    const lines = $derived([
        ...before,
        ...log.filter((line) => line.position > (before.at(-1)?.position ?? 0)),
    ]);
    const more = $derived(left ?? earlier);

    async function loadEarlier(): Promise<void> {
        const first = lines[0]?.position;
        const reply = await send('GET', `/jobs/${job}/log?before=${first}`, 'LogPage');
        failure = reply.ok ? '' : reply.message;
        if (!reply.ok) return;
        before = [...reply.data.lines, ...lines];
        left = reply.data.earlier;
    }

    const titles = $derived(new Map(steps.map((step) => [step.id, step.title])));
</script>

<section class="sheet flex max-h-[26rem] flex-col p-3" aria-label="Log">
    <h2 class="heading">Log <span class="figure text-quiet text-sm">{lines.length + more}</span></h2>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex (a scrolling list must be reachable by keyboard) -->
    <ol class="divide-line mt-1 divide-y overflow-auto" tabindex="0" aria-label="Log entries">
        {#each lines.toReversed() as line (line.id)}
            <li class="py-1 text-sm">
                {titles.get(line.step) ?? line.words}:
                {ENTRY_WORDS[line.kind]}
                <span class="text-quiet">· {line.by}, {when(line.at)}</span>
                {#if line.note}<span class="block">“{line.note}”</span>{/if}
                {#if line.found}<span class="block">{line.found}</span>{/if}
                {#if line.why}<span class="block">△ Went on anyway: {line.why}</span>{/if}
            </li>
        {:else}
            <li class="text-quiet">Nothing has been logged yet.</li>
        {/each}
        {#if more > 0}
            <li class="py-1">
                <Button onclick={loadEarlier}>{more} earlier</Button>
                {#if failure}<span class="text-stop">✕ {failure}</span>{/if}
            </li>
        {/if}
    </ol>
</section>
