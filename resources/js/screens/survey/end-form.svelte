<script lang="ts">
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { Catalogue, EndDocument, EndKind, Triple } from '@/lib/answers';
    import { lengthText } from '@/lib/length-text';
    import { follow } from '@/lib/readings';
    import Bolts from './bolts.svelte';
    import Bore from './bore.svelte';

    type Props = {
        desk: JobDesk;
        catalogue: Catalogue;
        mayPlan: boolean;
        side: 'start' | 'end';
        title: string;
    };
    let { desk, catalogue, mayPlan, side, title }: Props = $props();

    const end = $derived(desk.entered?.[side]);
    const axes = ['rearward', 'right', 'up'] as const;
    const KINDS: { id: EndKind; name: string; atStart: boolean }[] = [
        { id: 'v-band', name: 'V-band ring', atStart: true },
        { id: 'flange', name: 'Flange', atStart: true },
        { id: 'slip', name: 'Slip, clamped', atStart: false },
        { id: 'flare', name: 'Ball flare, clamped', atStart: true },
        { id: 'socket', name: 'Slip, welded', atStart: false },
        { id: 'open', name: 'Open end', atStart: true },
    ];
    const kinds = $derived(KINDS.filter(({ atStart }) => side === 'end' || atStart));
    const err = (path: string) => errorAt(desk.errors, `${desk.path}.${side}.${path}`);

    /** Straight ways; anything between is typed as how far the gas gets along each axis. */
    const WAYS: { id: string; name: string; direction: Triple }[] = [
        { id: 'rearward', name: 'rearward', direction: [1, 0, 0] },
        { id: 'forward', name: 'forward', direction: [-1, 0, 0] },
        { id: 'right', name: 'right', direction: [0, 1, 0] },
        { id: 'left', name: 'left', direction: [0, -1, 0] },
        { id: 'up', name: 'up', direction: [0, 0, 1] },
        { id: 'down', name: 'straight down', direction: [0, 0, -1] },
    ];
    const way = $derived(
        WAYS.find(({ direction }) => direction.every((one, i) => Number(end?.direction[i]) === one))?.id ??
            '',
    );

    /** What of it follows from readings, and how sure that is. */
    const isStart = $derived(side === 'start');
    const read = $derived(
        desk.document.measured?.ends.find(
            (one) => one.run === desk.entered?.letter && one.isStart === isStart,
        ),
    );
    const found = $derived(
        desk.plan.measured?.ends.find((one) => one.run === desk.entered?.letter && one.isStart === isStart),
    );
    const KNOWN_BY = $derived([
        { id: 'typed', name: 'as typed here', place: false, direction: false },
        { id: 'both', name: 'place and direction from readings', place: true, direction: true },
        { id: 'place', name: 'place from readings', place: true, direction: false },
        { id: 'direction', name: 'direction from readings', place: false, direction: true },
        ...(side === 'end'
            ? [{ id: 'free', name: 'wherever its pieces end', place: false, direction: false }]
            : []),
    ]);
    const isFree = $derived(end?.free ?? false);
    const knownBy = $derived(
        isFree
            ? 'free'
            : (KNOWN_BY.find(
                  (one) =>
                      one.place === (read?.place ?? false) && one.direction === (read?.direction ?? false),
              )?.id ?? 'typed'),
    );

    function knowBy(id: string): void {
        const how = KNOWN_BY.find((one) => one.id === id);
        const letter = desk.entered?.letter;
        if (!how || !letter) return;
        void desk.edit((document) => {
            follow(document, letter, isStart, { place: how.place, direction: how.direction });
            const one = document.runs.find((run) => run.letter === letter)?.[side];
            if (!one) return;
            if (id === 'free') one.free = true;
            else delete one.free;
        });
    }

    /** Where readings put it, in the job's units; else as it was typed. */
    function shown(i: number): string | number {
        const at = end?.at[i] ?? '';
        return (read?.place || isFree) && typeof at === 'number' ? lengthText(at, desk.view.units) : at;
    }

    /** All three where three are typed or pasted into one field: "20 in; 16 in; -8 in". */
    function place(i: number, text: string): void {
        const all = text.split(/\s*;\s*|,\s+/).filter((one) => one !== '');
        set((one) => {
            if (all.length === 3) one.at = [all[0] ?? '', all[1] ?? '', all[2] ?? ''];
            else one.at[i] = text;
        });
    }

    function set(change: (end: EndDocument) => void): void {
        void desk.editRun((run) => change(run[side]));
    }
</script>

{#if end}
    <fieldset class="sheet space-y-2 p-3" disabled={!mayPlan}>
        <legend class="sr-only">{title}</legend>
        <h2 class="heading">{title}</h2>
        <div class="grid gap-2 sm:grid-cols-[1fr_8.3rem_10.75rem_5.5rem]">
            <TextField
                label="Part"
                value={end.name}
                error={err('name')}
                onchange={(value) => set((one) => (one.name = value))}
            />
            <SelectField
                label="Kind"
                value={end.kind}
                options={kinds}
                error={err('kind')}
                disabled={!mayPlan}
                onchange={(value) => set((one) => (one.kind = value))}
            />
            <SelectField
                label="Metal"
                value={end.metal}
                options={catalogue.metals}
                error={err('metal')}
                disabled={!mayPlan}
                onchange={(value) => set((one) => (one.metal = value))}
            />
            <TextField
                label="Wall there"
                mono
                value={end.wall}
                error={err('wall')}
                onchange={(value) => set((one) => (one.wall = value))}
            />
        </div>
        <div class="grid grid-cols-[6.5rem_repeat(3,1fr)] items-start gap-3">
            <SelectField
                label="Where it is"
                class="col-span-4"
                value={knownBy}
                options={KNOWN_BY}
                disabled={!mayPlan}
                onchange={knowBy}
            />
            <p class="label pt-6">
                Centre, from the datum{#if found?.sd}<span class="figure block text-sm normal-case"
                        >± {found.sd}</span
                    >{/if}
            </p>
            {#each axes as axis, i (axis)}
                <TextField
                    label={axis}
                    mono
                    value={shown(i)}
                    disabled={(read?.place ?? false) || isFree}
                    error={err(`at[${i}]`)}
                    onchange={(value) => place(i, value)}
                />
            {/each}
            <SelectField
                label="The gas flows"
                value={way}
                options={way === '' ? [{ id: '', name: 'between' }, ...WAYS] : WAYS}
                disabled={!mayPlan || (read?.direction ?? false) || isFree}
                onchange={(id) => {
                    const found = WAYS.find((one) => one.id === id);
                    if (found) set((one) => (one.direction = [...found.direction]));
                }}
            />
            {#each axes as axis, i (axis)}
                <TextField
                    label="flow {axis}"
                    mono
                    inputmode="decimal"
                    value={end.direction[i] ?? 0}
                    disabled={(read?.direction ?? false) || isFree}
                    error={i === 0 ? err('direction') || err('direction[0]') : err(`direction[${i}]`)}
                    onchange={(value) =>
                        set(
                            (one) =>
                                (one.direction[i] =
                                    value.trim() === '' || Number.isNaN(Number(value))
                                        ? (value as unknown as number)
                                        : Number(value)),
                        )}
                />
            {/each}
        </div>
        {#if side === 'start' && (mayPlan || end.bore)}
            <Bore {desk} />
        {/if}
        {#if end.kind === 'flange' && (mayPlan || end.bolts)}
            <Bolts {desk} {side} />
        {/if}
    </fieldset>
{/if}
