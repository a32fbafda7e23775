<script lang="ts">
    // The survey walked: one reading at a time, with what to hold where, in fields for a thumb. What was typed stays in
    // this browser while the network is away.
    import { untrack } from 'svelte';
    import { Dialog } from 'bits-ui';
    import Button from '@/kit/button.svelte';
    import type { MeasuringTool, WalkStep } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import {
        add,
        CHECKS,
        DATUM,
        DIRECTION_WAYS,
        endName,
        follow,
        freeId,
        numberOr,
        PLACE_WAYS,
        taken,
        TOOLS,
    } from '@/lib/readings';
    import ReadingDrawing from './reading-drawing.svelte';

    type Props = { desk: JobDesk; open: boolean };
    let { desk, open = $bindable() }: Props = $props();

    const key = (step: WalkStep) => [step.kind, step.of, ...step.with, step.way ?? ''].join(' ');
    let done = $state.raw<string[]>([]);
    let passed = $state.raw<string[]>([]);
    let value = $state('');
    let tool = $state<MeasuringTool | null>(null);
    let error = $state('');
    let isBusy = $state(false);
    let field = $state<HTMLInputElement>();

    /** Ends that a collector or another run carries, or that are free, have no place of their own to be read. */
    const offered = $derived(
        desk.document.runs.flatMap(({ letter, start, end }) => [
            ...(start.saddle ||
            desk.document.set.collectors.some((one) => one.build && one.build.into === letter)
                ? []
                : [{ letter, isStart: true, name: start.name }]),
            ...(end.saddle ||
            end.free ||
            desk.document.set.collectors.some((one) => one.build && one.runs.includes(letter))
                ? []
                : [{ letter, isStart: false, name: end.name }]),
        ]),
    );
    let isAsking = $state(untrack(() => (desk.document.measured?.ends ?? []).length === 0));
    let chosen = $state.raw<string[]>(
        untrack(() => offered.map(({ letter, isStart }) => endName(letter, isStart))),
    );

    const left = $derived((desk.plan.measured?.walk ?? []).filter((step) => !done.includes(key(step))));
    const steps = $derived(left.filter((step) => !passed.includes(key(step))));
    const step = $derived(steps[0]);
    const way = $derived.by(() => {
        if (!step) return null;
        const found = [...PLACE_WAYS, ...DIRECTION_WAYS, ...CHECKS].find(
            (one) => one.kind === step.kind && one.id !== 'offsets' && one.id !== 'tape-from',
        );
        return found ?? null;
    });
    /** One place only can be the datum: the first that is asked for. */
    const mayBeDatum = $derived(
        step?.kind === 'offset' &&
            !(desk.document.measured?.readings ?? []).some(({ kind }) => kind === 'offset'),
    );
    const isAngle = $derived(TOOLS.find(({ id }) => id === way?.tool)?.angles ?? false);
    const suspects = $derived((desk.plan.measured?.readings ?? []).filter((one) => one.stands === 'suspect'));

    $effect(() => {
        void step;
        field?.focus();
    });

    async function beginWalk(): Promise<void> {
        isBusy = true;
        await desk.edit((document) => {
            for (const { letter, isStart } of offered)
                if (chosen.includes(endName(letter, isStart)))
                    follow(document, letter, isStart, { place: true, direction: true });
        });
        isAsking = false;
        isBusy = false;
    }

    async function next(): Promise<void> {
        const now = step;
        if (!now || !way) return;
        if (value.trim() === '') {
            error = 'Type what was read, or pass it by.';
            return;
        }
        isBusy = true;
        const id = freeId(desk.document);
        const reading = taken(now, tool ?? way.tool, numberOr(value), id);
        const [refused] = Object.values(
            await desk.tryEdit((document) => add(document, reading, 'nothing'), 'measured.'),
        );
        if (refused) {
            error = refused[0] ?? 'It is not taken.';
        } else {
            done = [...done, key(now)];
            value = '';
            error = '';
        }
        isBusy = false;
        field?.focus();
    }

    /** The end that is read is where all is measured from. */
    // Nothing is read then, so nothing is off: a hundredth of a millimetre stands for it.
    async function atDatum(): Promise<void> {
        const of = step?.of;
        if (of === undefined) return;
        isBusy = true;
        await desk.edit((document) => {
            add(
                document,
                {
                    id: freeId(document),
                    kind: 'offset',
                    tool: 'rod',
                    of,
                    with: [DATUM],
                    value: [0, 0, 0],
                    tolerance: 0.01,
                },
                'place',
            );
        });
        done = [...done, ...steps.filter((one) => one.kind === 'offset' && one.of === of).map(key)];
        isBusy = false;
    }

    function pass(): void {
        if (step) passed = [...passed, key(step)];
        value = '';
        error = '';
    }
</script>

<Dialog.Root bind:open>
    <Dialog.Portal>
        <Dialog.Overlay class="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
            class="sheet fixed inset-0 z-50 flex flex-col overflow-auto p-4 sm:inset-auto sm:top-1/2 sm:left-1/2 sm:max-h-[92vh] sm:w-[min(44rem,94vw)] sm:-translate-x-1/2 sm:-translate-y-1/2 sm:p-6"
        >
            <div class="flex items-baseline gap-3">
                <Dialog.Title class="heading">At the vehicle</Dialog.Title>
                {#if !isAsking}
                    <p class="text-quiet" aria-live="polite">
                        {done.length} taken, {steps.length} to go{passed.length > 0
                            ? `, ${passed.length} passed by`
                            : ''}
                    </p>
                {/if}
                <Button class="ml-auto" onclick={() => (open = false)}>Done</Button>
            </div>
            {#if desk.saveState === 'failed'}
                <p class="text-stop mt-2" role="status">
                    No connection. What you type is kept here and sent once it is back.
                </p>
            {/if}
            {#if isAsking}
                <p class="mt-4">
                    Choose one point that stays put and can be found again, the centre of the first port or a
                    dowel: all is measured from there, rearward, right and up. Which ends are to be measured?
                </p>
                <ul class="mt-3 space-y-1">
                    {#each offered as one (endName(one.letter, one.isStart))}
                        {@const id = endName(one.letter, one.isStart)}
                        <li>
                            <label class="flex min-h-12 items-center gap-3 text-lg">
                                <input
                                    type="checkbox"
                                    class="size-7"
                                    checked={chosen.includes(id)}
                                    onchange={(event) =>
                                        (chosen = event.currentTarget.checked
                                            ? [...chosen, id]
                                            : chosen.filter((it) => it !== id))}
                                />
                                {one.isStart ? 'Start' : 'End'} of {one.letter}{one.name
                                    ? `, ${one.name}`
                                    : ''}
                            </label>
                        </li>
                    {/each}
                </ul>
                <Button
                    look="main"
                    big
                    class="mt-4"
                    disabled={isBusy || chosen.length === 0}
                    onclick={() => void beginWalk()}>Begin</Button
                >
            {:else if step && way}
                <form
                    class="mt-3 flex grow flex-col gap-3"
                    onsubmit={(event) => {
                        event.preventDefault();
                        void next();
                    }}
                >
                    <p class="text-xl font-medium">{step.says}</p>
                    <div class="grid items-center gap-3 sm:grid-cols-[18rem_1fr]">
                        <ReadingDrawing way={way.id} />
                        <p>{step.how}</p>
                    </div>
                    <div>
                        <label class="label block" for="walk-value"
                            >{isAngle ? 'Degrees' : 'What the tape says'}</label
                        >
                        <input
                            id="walk-value"
                            bind:this={field}
                            bind:value
                            class="figure bg-sheet border-strong min-h-16 w-full rounded-[2px] border px-3 text-3xl"
                            autocomplete="off"
                            aria-invalid={error ? 'true' : undefined}
                            aria-describedby={error ? 'walk-error' : undefined}
                        />
                        {#if error}<p id="walk-error" class="text-stop mt-1">✕ {error}</p>{/if}
                    </div>
                    <div class="flex flex-wrap gap-2" role="group" aria-label="Taken with">
                        {#each TOOLS.filter(({ angles, id }) => angles === isAngle && id !== 'rod') as one (one.id)}
                            <button
                                type="button"
                                class="min-h-12 border px-3 {(tool ?? way.tool) === one.id
                                    ? 'bg-action text-on-action border-action'
                                    : 'border-strong'}"
                                aria-pressed={(tool ?? way.tool) === one.id}
                                onclick={() => (tool = one.id === way.tool ? null : one.id)}
                                >{one.name}</button
                            >
                        {/each}
                    </div>
                    <div class="mt-auto flex flex-wrap gap-2 pt-2">
                        <Button look="main" big type="submit" disabled={isBusy} class="grow">Next</Button>
                        {#if mayBeDatum}
                            <Button big type="button" disabled={isBusy} onclick={() => void atDatum()}
                                >It is the datum</Button
                            >
                        {/if}
                        <Button big type="button" onclick={pass}>Pass it by</Button>
                    </div>
                </form>
            {:else}
                <div class="mt-4 space-y-3 text-lg">
                    {#if passed.length > 0}
                        <p>{passed.length} passed by.</p>
                        <Button big onclick={() => (passed = [])}>Come back to them</Button>
                    {:else}
                        <p>Everything that is needed is read.</p>
                    {/if}
                    {#each suspects as one (one.id)}
                        <p class="text-stop">
                            “{one.says}” does not agree: the others say {one.off} otherwise. Take it again.
                        </p>
                    {/each}
                    {#each desk.plan.measured?.runs ?? [] as one (one.letter)}
                        <p>
                            Run {one.letter} may miss by <span class="figure">± {one.miss}</span>; leave
                            <span class="figure">{one.trim}</span> to trim.
                        </p>
                    {/each}
                </div>
            {/if}
        </Dialog.Content>
    </Dialog.Portal>
</Dialog.Root>
