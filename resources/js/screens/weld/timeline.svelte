<script lang="ts">
    // The schedule drawn to time: as planned, and below it what the same welds take if each is waited for.
    import type { Schedule } from '@/lib/answers';

    type Props = { schedule: Schedule; chosen: string };
    let { schedule, chosen }: Props = $props();

    type Block = { joint: string; from: number; seconds: number; says: string };

    const blocks = (welds: Pick<Schedule['slots'][number], 'joint' | 'start' | 'attended'>[]): Block[] =>
        welds.map((one) => ({
            joint: one.joint,
            from: one.start.value,
            seconds: one.attended.value,
            says: `${one.joint}, begun after ${one.start.text}, ${one.attended.text} at it`,
        }));

    const scale = $derived(Math.max(schedule.total.value, schedule.oneByOne.value, 1));
    const rows = $derived([
        { name: 'In this order', blocks: blocks(schedule.slots), end: schedule.total },
        { name: 'Each waited for', blocks: blocks(schedule.waitedFor), end: schedule.oneByOne },
    ]);
    const percent = (seconds: number): string => `${(100 * seconds) / scale}%`;
    /** Narrower than this a name would be cut: a share of the longest row. */
    const NAMED = 0.035;
</script>

<div class="mt-2 space-y-1.5">
    {#each rows as row, i (i)}
        <div>
            <p class="flex justify-between gap-x-3">
                <span class="label">{row.name}</span><span class="figure text-sm">{row.end.text}</span>
            </p>
            <div class="relative h-7" role="img" aria-label="{row.name}: {row.end.text}">
                <div class="waiting absolute inset-y-0 left-0" style:width={percent(row.end.value)}></div>
                {#each row.blocks as block (block.joint)}
                    <div
                        class="figure border-sheet absolute inset-y-0 overflow-hidden border-r text-center text-xs leading-7
                            {block.joint === chosen ? 'bg-action text-on-action' : 'bg-ink text-sheet'}"
                        style:left={percent(block.from)}
                        style:width={percent(block.seconds)}
                        title={block.says}
                    >
                        {#if block.seconds / scale > NAMED}<span class="max-md:hidden">{block.joint}</span
                            >{/if}
                    </div>
                {/each}
            </div>
        </div>
    {/each}
    <p class="text-quiet text-sm">
        Filled: somebody is at the joint. Striped: a piece is put up, or nothing but waiting, for a seam to
        cool or for the purge line.
    </p>
</div>

<style>
    .waiting {
        background: repeating-linear-gradient(-45deg, var(--line) 0 2px, transparent 2px 7px);
        border: 1px solid var(--strong);
    }
</style>
