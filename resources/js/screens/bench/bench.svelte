<script lang="ts">
    import { onMount, untrack } from 'svelte';
    import { toggleTheme } from '@/lib/theme.svelte';
    import Nowhere from '../job/nowhere.svelte';
    import type { StageProps } from '../job/stages';
    import { StepClock } from './clock.svelte';
    import { doneWith } from './entry';
    import { Outbox } from './outbox.svelte';
    import StepCard from './step-card.svelte';
    import StepList from './step-list.svelte';

    let { desk, mayLog, onstage }: StageProps = $props();

    const clock = new StepClock(untrack(() => desk.view.id));
    const outbox = new Outbox(
        untrack(() => desk.view.id),
        untrack(() => desk.view.units),
        (progress) => desk.takeProgress(progress),
    );
    onMount(() => {
        const online = () => void outbox.flush();
        window.addEventListener('online', online);
        return () => {
            window.removeEventListener('online', online);
            outbox.close();
            clock.close();
        };
    });

    const bench = $derived(desk.view.bench);
    const steps = $derived(bench?.steps ?? []);
    const done = $derived(doneWith(bench?.done ?? [], outbox.waiting));
    let looking = $state<string | null>(null);
    const current = $derived(
        steps.find((step) => step.id === looking) ?? steps.find((step) => !done.has(step.id)),
    );
    const index = $derived(current ? steps.indexOf(current) : steps.length);

    function go(by: number): void {
        looking = steps[Math.min(Math.max(index + by, 0), steps.length - 1)]?.id ?? null;
    }

    function finish(readings: Record<string, string>, note: string): void {
        if (!current) return;
        clock.stop(current.id);
        outbox.put({ step: current.id, kind: done.has(current.id) ? 'correct' : 'done', readings, note });
        looking = null;
    }

    function reopen(note: string): void {
        if (current) outbox.put({ step: current.id, kind: 'reopen', readings: {}, note });
    }
</script>

{#if !bench}
    <Nowhere
        text="The bench works from a released plan, so that nothing changes under the torch. Release the draft first."
        stage="weld"
        action="Look the plan over"
        {onstage}
    />
{:else}
    <div class="grid grow grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div class="flex flex-col gap-2">
            <div class="flex items-center gap-3">
                <p class="figure text-lg">{Math.min(index + 1, steps.length)} / {steps.length}</p>
                <div
                    class="border-strong h-3 grow border"
                    role="img"
                    aria-label="{done.size} of {steps.length} steps done"
                >
                    <div
                        class="bg-ink h-full"
                        style:width="{(100 * done.size) / Math.max(steps.length, 1)}%"
                    ></div>
                </div>
                <p class="text-quiet" aria-live="polite">
                    {outbox.waiting.length > 0
                        ? `${outbox.waiting.length} kept here, not sent yet`
                        : 'log saved'}
                </p>
                <button
                    type="button"
                    class="font-label border-strong bg-sheet min-h-16 border px-4 max-sm:hidden"
                    onclick={toggleTheme}>Light / dark</button
                >
                {#each [{ by: -1, sign: '←', name: 'Step before', off: index === 0 }, { by: 1, sign: '→', name: 'Step after', off: index >= steps.length - 1 }] as way (way.by)}
                    <button
                        type="button"
                        class="border-strong bg-sheet min-h-16 min-w-16 border text-xl disabled:opacity-40"
                        aria-label={way.name}
                        title={way.name}
                        disabled={way.off}
                        onclick={() => go(way.by)}>{way.sign}</button
                    >
                {/each}
            </div>
            {#if outbox.refused}
                <p class="sheet border-stop text-stop border-2 px-3 py-2" role="alert">
                    ✕ Not logged: {outbox.refused}
                </p>
            {/if}
            {#if current}
                {#key current.id}
                    <StepCard
                        step={current}
                        {clock}
                        {mayLog}
                        isDone={done.has(current.id)}
                        read={bench.readings[current.id] ?? {}}
                        onfinish={finish}
                        onreopen={reopen}
                    />
                {/key}
            {:else}
                <section class="sheet grow p-8">
                    <p class="font-label text-4xl font-semibold">Every step is done</p>
                    <p class="text-quiet mt-2 text-lg">The record is ready to be handed over.</p>
                    <button
                        type="button"
                        class="bg-action text-on-action font-label mt-6 min-h-16 px-8 text-2xl font-semibold"
                        onclick={() => onstage('handover')}>Hand over</button
                    >
                </section>
            {/if}
        </div>
        <StepList {steps} {done} current={current?.id ?? null} onpick={(id) => (looking = id)} />
    </div>
{/if}
