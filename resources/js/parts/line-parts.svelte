<script lang="ts">
    // Mufflers, catalysts and hangers on the way, beside the tube: what was measured of a part changes the cut at once.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { HangerDocument, PartDocument } from '@/lib/answers';
    import { freeName } from '@/lib/free-name';
    import { lengthText } from '@/lib/length-text';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { PART_KINDS } from '@/lib/part-kinds';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    const MEASURED = [
        { key: 'bore', label: 'Bore of its seat' },
        { key: 'seat', label: 'Depth of it' },
        { key: 'wall', label: 'Wall' },
        { key: 'mass', label: 'Mass' },
        { key: 'length', label: 'Length from there' },
        { key: 'width', label: 'Width' },
    ] as const;

    const parts = $derived(desk.document.set?.parts ?? []);
    const hangers = $derived(desk.document.set?.hangers ?? []);
    const letters = $derived(
        desk.document.runs.map((run) => ({ id: run.letter, name: `run ${run.letter}` })),
    );
    const free = $derived(letters.filter((one) => !parts.some((part) => part.inlet === one.id)));
    const error = (path: string) => desk.errors[path]?.[0] ?? '';
    const notices = $derived(desk.plan.notices.filter((one) => one.path.startsWith('set.parts')));

    const ticked = $derived({
        polished: { label: 'Polished', of: letters, on: desk.document.set?.polished ?? [] },
        stubs: {
            label: 'Begins with a stub on its flange',
            of: letters.filter(({ id }) =>
                desk.document.runs.some((run) => run.letter === id && run.start.kind === 'flange'),
            ),
            on: desk.document.set?.stubs ?? [],
        },
    });

    type Set = { parts: PartDocument[]; hangers: HangerDocument[]; polished: string[]; stubs: string[] };
    const change = (edit: (set: Set) => void) =>
        desk.edit((document) => {
            const { parts = [], hangers = [], polished = [], stubs = [] } = document.set ?? {};
            const set = { parts, hangers, polished, stubs };
            edit(set);
            document.set = { ...(document.set ?? {}), ...set } as typeof document.set;
        });

    function tick(key: 'polished' | 'stubs', id: string, isOn: boolean): void {
        void change((set) => {
            set[key] = set[key].filter((one) => one !== id);
            if (isOn) set[key].push(id);
        });
    }

    const add = () =>
        change((set) => {
            const run = desk.document.runs.find((one) => one.letter === free[0]?.id);
            if (run)
                set.parts.push({
                    name: freeName('Muffler', names(set.parts)),
                    kind: 'muffler',
                    inlet: run.letter,
                });
        });
    const names = (all: { name: string }[]) => all.map(({ name }) => name);

    const hang = () =>
        change((set) => {
            const run = desk.plan.runs.find((one) => one.run);
            if (!run?.run) return;
            set.hangers.push({
                name: freeName('Hanger', names(set.hangers)),
                run: run.letter,
                station: lengthText(run.hangerAt ?? run.run.length.value / 2, desk.view.units),
            });
        });

    function put(i: number, key: keyof PartDocument, value: unknown): void {
        void change((set) => {
            const part = set.parts[i] as Record<string, unknown> | undefined;
            if (!part) return;
            if (value === '' || value === false) delete part[key];
            else part[key] = value;
        });
    }

    function move(i: number, to: Partial<HangerDocument>): void {
        void change((set) => {
            const hanger = set.hangers[i];
            if (hanger) Object.assign(hanger, to);
        });
    }
</script>

<section class="sheet p-3" aria-label="Parts and hangers">
    <div class="flex flex-wrap items-baseline justify-between gap-2">
        <h2 class="heading">Bought and customer’s parts</h2>
        {#if mayPlan}
            <span class="flex gap-2">
                {#if free.length > 0}<Button onclick={add}>Add a part</Button>{/if}
                {#if desk.plan.runs.some((run) => run.run)}<Button onclick={hang}>Add a hanger</Button>{/if}
            </span>
        {/if}
    </div>
    {#each notices as notice, i (i)}
        <p class={notice.severity === 'problem' ? 'text-stop' : ''}>
            {notice.severity === 'problem' ? '✕' : '△'}
            {notice.message}
        </p>
    {/each}
    {#each parts as part, i (i)}
        <fieldset
            class="border-line mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 sm:grid-cols-4 xl:grid-cols-[1.4fr_1fr_0.8fr_0.8fr_repeat(6,0.8fr)]"
            disabled={!mayPlan}
            aria-label={part.name}
        >
            <TextField
                label="Name"
                value={part.name}
                error={error(`set.parts[${i}].name`)}
                onchange={(value) => put(i, 'name', value)}
            />
            <SelectField
                label="What it is"
                value={part.kind}
                options={[...PART_KINDS]}
                onchange={(value) => put(i, 'kind', value)}
            />
            <SelectField
                label="At the end of"
                value={part.inlet}
                options={letters}
                onchange={(value) => put(i, 'inlet', value)}
            />
            <SelectField
                label="Behind it"
                value={part.outlet ?? ''}
                options={[{ id: '', name: 'nothing' }, ...letters.filter((one) => one.id !== part.inlet)]}
                onchange={(value) => put(i, 'outlet', value)}
            />
            {#each MEASURED as { key, label } (key)}
                <TextField
                    {label}
                    value={String(part[key] ?? '')}
                    mono
                    error={error(`set.parts[${i}].${key}`)}
                    onchange={(value) => put(i, key, value.trim())}
                />
            {/each}
            <p class="col-span-full flex flex-wrap gap-x-5 gap-y-1">
                {#each [['oneWay', 'gas goes through one way only'], ['against', 'it lies against that'], ['cast', 'it is cast'], ['brought', 'the customer brought it']] as const as [key, label] (key)}
                    {#if key !== 'against' || part.oneWay}
                        <label class="tap flex items-center gap-2">
                            <input
                                type="checkbox"
                                class="accent-action size-6"
                                checked={part[key] === true}
                                onchange={(event) => put(i, key, event.currentTarget.checked)}
                            />{label}
                        </label>
                    {/if}
                {/each}
                {#if mayPlan}
                    <Button
                        look="quiet"
                        class="ml-auto"
                        onclick={() => change((set) => set.parts.splice(i, 1))}>Take it out</Button
                    >
                {/if}
            </p>
        </fieldset>
    {:else}
        <p class="text-quiet">
            Mufflers, catalysts, tips: what is measured of them when they come changes the cut, before it is
            made.
        </p>
    {/each}
    {#each hangers as hanger, i (i)}
        <fieldset
            class="border-line mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 sm:grid-cols-4"
            disabled={!mayPlan}
            aria-label={hanger.name}
        >
            <TextField
                label="Hanger"
                value={hanger.name}
                error={error(`set.hangers[${i}].name`)}
                onchange={(value) => move(i, { name: value })}
            />
            <SelectField
                label="On"
                value={hanger.run}
                options={letters}
                onchange={(value) => move(i, { run: value })}
            />
            <TextField
                label="Along it"
                value={String(hanger.station)}
                mono
                error={error(`set.hangers[${i}].station`)}
                onchange={(value) => move(i, { station: value })}
            />
            {#if mayPlan}
                <Button
                    look="quiet"
                    class="justify-self-start"
                    onclick={() => change((set) => set.hangers.splice(i, 1))}>Take it out</Button
                >
            {/if}
        </fieldset>
    {/each}
    {#each ['polished', 'stubs'] as const as key (key)}
        {@const { label, of, on } = ticked[key]}
        {#if of.length > 0}
            <p class="border-line mt-2 flex flex-wrap items-center gap-x-5 gap-y-1 border-t pt-2">
                <span class="label">{label}</span>
                {#each of as { id, name } (id)}
                    <label class="tap flex items-center gap-2">
                        <input
                            type="checkbox"
                            class="accent-action size-6"
                            disabled={!mayPlan}
                            checked={on.includes(id)}
                            onchange={(event) => tick(key, id, event.currentTarget.checked)}
                        />{name}
                    </label>
                {/each}
            </p>
        {/if}
    {/each}
</section>
