<script lang="ts">
    import { usePage } from '@inertiajs/svelte';
    import { onMount, untrack } from 'svelte';
    import type { Step } from '@/lib/answers';
    import { doneWith, logQueue, type Kept } from '@/lib/log-queue';
    import { HalfTypedSteps } from '@/lib/half-typed';
    import { keepBench } from '@/lib/offline-bench';
    import { toggleTheme } from '@/lib/theme.svelte';
    import Nowhere from '../job/nowhere.svelte';
    import type { StageProps } from '../job/stages';
    import { keepAwake } from './awake';
    import { clockText, StepClocks } from './clock.svelte';
    import { coolingOf, propose, secondsLeft, waitsOf } from './next-step';
    import StepCard from './step-card.svelte';
    import StepList from './step-list.svelte';
    import StepPicture from './step-picture.svelte';
    import WrongLengths from '@/parts/wrong-lengths.svelte';
    import Timers, { type Timer } from './timers.svelte';

    let { desk, mayLog, onstage }: StageProps = $props();

    const clocks = new StepClocks(untrack(() => desk.view.id));
    const typed = $derived(
        new HalfTypedSteps(desk.view.id, desk.view.bench?.revision ?? 0, logQueue.person?.name ?? ''),
    );
    onMount(() => {
        const keep = (soon?: number) => keepBench(desk.view.id, usePage().version ?? '', soon);
        keep(0);
        const stop = logQueue.ontaken((job) => job === desk.view.id && keep());
        const sleep = keepAwake();
        return () => {
            stop();
            sleep();
            clocks.close();
        };
    });

    const bench = $derived(desk.view.bench);
    const steps = $derived((bench?.steps ?? []).flatMap((step) => [step, ...(bench?.added[step.id] ?? [])]));
    /** Beside a newer draft the plan at hand is not the one that is built. */
    const isPlanned = $derived(bench?.revision === desk.view.revision.number);
    const here = $derived(logQueue.entries.filter((entry) => entry.job === desk.view.id));
    const waiting = $derived(here.filter((entry) => !entry.refused).length);
    const refused = $derived(logQueue.refused.filter((entry) => entry.job === desk.view.id));
    const done = $derived(doneWith(bench?.done ?? [], here));
    // A label’s code opens its own step.
    let looking = $state<string | null>(new URLSearchParams(location.search).get('step'));

    /** What cools since it was welded, by what the server knows and what still waits here. */
    const cooling = $derived(coolingOf(steps, bench?.weldedAt ?? {}, here));
    const proposal = $derived(propose(steps, done, cooling, clocks.now));
    // What is proposed changes while something cools; the step in hand does not, until it is done.
    let inHand = $state<string | null>(null);
    $effect(() => {
        const next = proposal?.step.id ?? null;
        untrack(() => {
            if (inHand === null || done.has(inHand)) inHand = next;
        });
    });
    const current = $derived(steps.find((step) => step.id === (looking ?? inHand)) ?? proposal?.step);
    const index = $derived(current ? steps.indexOf(current) : steps.length);
    const sheet = $derived(desk.plan.weld.sheets.find((one) => one.joint === current?.subject));

    /** Seconds since argon was let in, the arc was lit, or the arc went out. */
    function watchedFor(step: Step): number | null {
        if (step.clock !== 'since-weld') {
            const gone = clocks.for(step.id);
            return gone > 0 ? gone : null;
        }
        const welded = cooling.get(step.subject);
        return welded === undefined ? null : (clocks.now - welded) / 1000;
    }

    const timers = $derived<Timer[]>([
        ...clocks.running.flatMap((id) => {
            const [stepId = '', of] = id.split(' ');
            const step = steps.find((one) => one.id === stepId);
            if (!step || of) return [];
            const gone = clocks.for(id);
            const left = step.clock === 'down' ? (step.seconds ?? 0) - gone : gone;
            return {
                id,
                step: stepId,
                says: `${step.kindLabel} ${step.subject}`,
                text: clockText(left),
                isOver: step.clock === 'down' && left <= 0,
            };
        }),
        ...steps
            .filter((step) => step.clock === 'since-weld' && !done.has(step.id) && cooling.has(step.subject))
            .map((step) => {
                const left = secondsLeft(step, cooling, clocks.now);
                return {
                    id: step.id,
                    step: step.id,
                    says: left > 0 ? `${step.subject} cools` : `Measure ${step.subject}`,
                    text: left > 0 ? clockText(left) : '',
                    isOver: left === 0,
                };
            }),
    ]);

    function go(by: number): void {
        looking = steps[Math.min(Math.max(index + by, 0), steps.length - 1)]?.id ?? null;
    }

    /** What was said of the step before, and not taken; logging it again puts that right. */
    const again = $derived(refused.find((entry) => entry.step === current?.id));

    /** Notes of the step that is open: those that are known, then those that wait here. */
    const notes = $derived([
        ...(bench?.notes[current?.id ?? ''] ?? []),
        ...here
            .filter((entry) => entry.step === current?.id && entry.note !== '' && !entry.refused)
            .map(({ maker, at, note }) => ({ by: maker, at, text: note })),
    ]);

    type Said = Pick<Kept, 'readings' | 'note' | 'why' | 'points' | 'inspected' | 'traces'>;

    /** A second tap of one hand comes sooner than this after the first; our own figure. */
    const DOUBLE_TAP_MS = 350;
    /** While it is written down a second tap does nothing: it would log the same again, or close the next step unseen. */
    let isWriting = $state(false);

    async function write(how: () => Promise<void>, leastMs = 0): Promise<void> {
        isWriting = true;
        try {
            await Promise.all([how(), new Promise((done) => setTimeout(done, leastMs))]);
        } finally {
            isWriting = false;
        }
    }

    /** Keeps what is said of the step that is open. */
    async function put(kind: Kept['kind'], said: Partial<Said>): Promise<void> {
        if (!current || !bench) return;
        const { id: job, units } = desk.view;
        const { number } = desk.document.job;
        const entry = {
            step: current.id,
            kind,
            readings: {},
            note: '',
            why: '',
            points: [],
            inspected: null,
            traces: [],
            ...said,
            title: current.title,
            labels: Object.fromEntries(current.measures.map(({ name, label }) => [name, label])),
        };
        await logQueue.put(entry, { job, number, revision: bench.revision, units });
    }

    function say(kind: Kept['kind'], note: string): void {
        if (!isWriting) void write(() => put(kind, { note }));
    }

    function finish(said: Said): void {
        if (!current || isWriting) return;
        const { id } = current;
        const refusedOne = again;
        clocks.stop(id);
        typed.keep(id, null);
        void write(async () => {
            if (refusedOne) await logQueue.amend(refusedOne, said);
            else await put(done.has(id) ? 'correct' : 'done', said);
            // Unless another was picked meanwhile.
            if (looking === id) looking = null;
        }, DOUBLE_TAP_MS);
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
                    {waiting > 0
                        ? `${waiting} kept here, not sent yet`
                        : refused.length > 0
                          ? `✕ ${refused.length} not logged`
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
            {#if refused.length > 0}
                <section class="sheet border-stop border-2 px-3 py-2" role="alert" aria-label="Not logged">
                    <p class="text-stop font-medium">
                        ✕ Not logged; kept on this device until it is put right or discarded.
                    </p>
                    <ul>
                        {#each refused.slice(0, 4) as entry (entry.id)}
                            <li class="flex flex-wrap items-baseline gap-x-3">
                                <button
                                    type="button"
                                    class="tap text-action text-left underline"
                                    onclick={() => (looking = entry.step)}>{entry.title}</button
                                >
                                <span>{entry.refused?.reason}</span>
                            </li>
                        {/each}
                    </ul>
                    {#if refused.length > 4}<p class="text-quiet">and {refused.length - 4} more</p>{/if}
                </section>
            {/if}
            <div class="flex flex-wrap gap-2 empty:hidden">
                <Timers {timers} onpick={(step) => (looking = step)} />
                {#if proposal && current && proposal.step.id !== current.id}
                    <button
                        type="button"
                        class="font-label border-action text-action min-h-15 grow border px-3 text-left text-lg"
                        onclick={() => {
                            looking = null;
                            inHand = proposal.step.id;
                        }}>Next: {proposal.step.title}. {proposal.why}</button
                    >
                {/if}
            </div>
            <WrongLengths wrong={bench.wrong} />
            {#if proposal?.why && proposal.step.id === current?.id}
                <p class="text-quiet">{proposal.why}</p>
            {/if}
            {#if current}
                {#key `${current.id} ${again?.id ?? ''}`}
                    <StepCard
                        step={current}
                        {clocks}
                        {mayLog}
                        isBusy={isWriting}
                        isDone={done.has(current.id)}
                        read={again?.readings ?? bench.readings[current.id] ?? {}}
                        noted={again?.note ?? ''}
                        closed={bench.closed[current.id] ?? null}
                        {notes}
                        half={again ? null : typed.find(current.id)}
                        ontype={(half) => current && typed.keep(current.id, half)}
                        left={secondsLeft(current, cooling, clocks.now)}
                        postflow={current.clock === 'up'
                            ? (sheet?.settings['postflow']?.value ?? null)
                            : null}
                        looks={bench.looks}
                        job={desk.view.id}
                        units={desk.view.units}
                        watched={watchedFor(current)}
                        waits={waitsOf(current, steps, done, cooling, clocks.now)}
                        onfinish={finish}
                        onreopen={(note) => say('reopen', note)}
                        onproblem={(note) => say('note', note)}
                    >
                        {#snippet picture()}{#if isPlanned}<StepPicture
                                    {desk}
                                    step={current}
                                />{/if}{/snippet}
                    </StepCard>
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
