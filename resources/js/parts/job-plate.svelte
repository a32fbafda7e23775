<script lang="ts">
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import QueueMark from './log-queue/queue-mark.svelte';

    type Props = { desk: JobDesk; onnext: () => void };
    let { desk, onnext }: Props = $props();

    const head = $derived(desk.document.job);
    const bench = $derived(desk.view.bench);
    /** Of a draft for all of it; at the bench to its end, out of the bottles as they stand. */
    const argon = $derived.by(() => {
        if (bench && !desk.isDraft) return bench.argon;
        const { total, left, enough } = desk.plan.weld.argon;
        return { needed: total.text, left: left.text, enough };
    });
    const size = $derived((desk.run ?? desk.plan.merge.collectors[0])?.tube?.name ?? '–');
    const refused = $derived(Object.keys(desk.errors).length);
    const states = $derived({
        saved: 'draft, saved',
        saving: 'saving…',
        refused: `✕ not saved: ${refused} ${refused === 1 ? 'field' : 'fields'}`,
        failed: '✕ not saved',
        conflict: '✕ not saved: changed elsewhere',
        released: 'released',
    });
    const isOff = $derived(['refused', 'failed', 'conflict'].includes(desk.saveState));
</script>

{#snippet cell(name: string, value: string, extra: string = '')}
    <div class="border-line border-r px-3 py-1.5 {extra}">
        <dt class="label leading-tight">{name}</dt>
        <dd class="figure overflow-hidden text-[0.9rem] leading-tight text-ellipsis">{value}</dd>
    </div>
{/snippet}

<header class="sheet flex flex-wrap items-stretch sm:flex-nowrap">
    <a
        href="/"
        class="tap border-line hover:bg-wash flex items-center gap-2 border-r px-3"
        aria-label="Back to the rack"
    >
        <img src="/mark.svg" alt="" width="26" height="26" class="rounded-[2px] bg-white p-0.5" />
        <span class="font-label text-quiet text-sm">Rack</span>
    </a>
    <div class="border-line min-w-0 px-3 py-1.5 max-sm:grow sm:min-w-28 sm:shrink-[20] sm:border-r">
        <p class="figure text-quiet text-[0.8rem] leading-tight">{head.number}</p>
        <h1 class="heading overflow-hidden leading-tight text-ellipsis whitespace-nowrap">{head.title}</h1>
    </div>
    <dl
        class="border-line flex min-w-0 grow items-stretch overflow-hidden max-sm:w-full max-sm:flex-wrap max-sm:border-t"
    >
        {@render cell('Rev', `${desk.revision.number}`)}
        <div class="border-line border-r px-3 py-1.5">
            <dt class="label leading-tight">State</dt>
            <dd
                class="text-[0.9rem] leading-tight whitespace-nowrap {isOff ? 'text-stop font-medium' : ''}"
                aria-live="polite"
            >
                {states[desk.saveState]}
            </dd>
        </div>
        {@render cell('Metal', head.metal)}
        {@render cell('Size', size, 'max-lg:hidden')}
        {@render cell('Units', desk.view.units, 'max-lg:hidden')}
        {@render cell('Joints', `${bench?.jointsDone ?? 0}/${desk.plan.jointCount}`)}
        {@render cell(
            argon.enough
                ? bench && !desk.isDraft
                    ? 'Argon to go / left now'
                    : 'Argon for the job / left'
                : 'Argon: too little left',
            `${argon.needed} / ${argon.left}`,
            'max-xl:hidden',
        )}
    </dl>
    <QueueMark />
    <a
        href="/jobs/{desk.view.id}/{desk.view.next.stage}"
        class="tap bg-action text-on-action font-label flex min-w-0 flex-col items-start max-sm:w-full sm:max-w-1/2 sm:shrink-0 justify-center px-4 py-1 text-left hover:brightness-110"
        onclick={(event) => {
            if (event.metaKey || event.ctrlKey) return;
            event.preventDefault();
            onnext();
        }}
    >
        <span class="text-[0.75rem] leading-tight opacity-90">Next · {desk.view.next.group}</span>
        <span class="text-[1.02rem] max-w-full truncate leading-tight font-semibold"
            >{desk.view.next.text}</span
        >
    </a>
</header>
