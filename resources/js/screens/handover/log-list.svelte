<script lang="ts">
    import type { LogLine, Step } from '@/lib/answers';
    import { ENTRY_WORDS } from '@/lib/log-queue';

    type Props = { log: LogLine[]; steps: Step[] };
    let { log, steps }: Props = $props();

    const titles = $derived(new Map(steps.map((step) => [step.id, step.title])));
    const format = new Intl.DateTimeFormat('en', {
        day: '2-digit',
        month: 'short',
        hour: '2-digit',
        minute: '2-digit',
        hour12: false,
    });
</script>

<section class="sheet flex max-h-[26rem] flex-col p-3" aria-label="Log">
    <h2 class="heading">Log <span class="figure text-quiet text-sm">{log.length}</span></h2>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex (a scrolling list must be reachable by keyboard) -->
    <ol class="divide-line mt-1 divide-y overflow-auto" tabindex="0" aria-label="Log entries">
        {#each log.toReversed() as line (line.id)}
            <li class="py-1 text-sm">
                {titles.get(line.step) ?? line.step}:
                {ENTRY_WORDS[line.kind]}
                <span class="text-quiet">· {line.by}, {format.format(new Date(line.at))}</span>
                {#if line.note}<span class="block">“{line.note}”</span>{/if}
            </li>
        {:else}
            <li class="text-quiet">Nothing has been logged yet.</li>
        {/each}
    </ol>
</section>
