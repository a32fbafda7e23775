<script lang="ts">
    // A run that grows: the next thing in the hand, turned by eye and read off as it is.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Catalogue, RunPlan } from '@/lib/answers';
    import type { GrowWish, JobDesk } from '@/lib/job-desk.svelte';
    import { freeName } from '@/lib/free-name';
    import { lengthText } from '@/lib/length-text';
    import { PART_KINDS } from '@/lib/part-kinds';
    import { numberOr } from '@/lib/readings';

    type Props = { desk: JobDesk; run: RunPlan; catalogue: Catalogue };
    let { desk, run, catalogue }: Props = $props();

    const radii = $derived(catalogue.tubes.find(({ id }) => id === desk.entered?.tube)?.radii ?? []);
    /** What is put on: a bend, a straight piece, or all that brings the outlet to point some way. */
    let what = $state<'bend' | 'leg' | 'aim' | 'part'>('bend');
    const isBend = $derived(what === 'bend');
    let toward = $state('90');
    let falls = $state('10');
    let clear = $state('');
    let clr = $state('');
    let ownClr = $state('');
    let wedges = $state('5');
    let angle = $state('45');
    let angleBy = $state('degrees');
    let second = $state('');
    let apart = $state('');
    let turn = $state('6');
    let turnBy = $state('clock');
    let side = $state('right');
    let before = $state('');
    let after = $state('');
    let length = $state('');
    let errors = $state.raw<Record<string, string[]>>({});
    let isBusy = $state(false);

    const WEDGES = 'wedges';
    const isPie = $derived(clr === WEDGES || radii.length === 0);
    const chosenClr = $derived(
        radii.some(({ clrMm }) => `${clrMm}` === clr) ? clr : `${radii[0]?.clrMm ?? ''}`,
    );
    const upTo = $derived(radii.find(({ clrMm }) => `${clrMm}` === chosenClr)?.upToDeg ?? 0);
    const err = (field: string) => errors[field]?.[0] ?? '';
    const isFirst = $derived(run.run === null);

    const WHAT: { id: typeof what; name: string }[] = [
        { id: 'bend', name: 'A bend' },
        { id: 'leg', name: 'A straight piece' },
        { id: 'aim', name: 'Aim the outlet' },
        { id: 'part', name: 'A part at its end' },
    ];
    const TOWARD = [
        { id: '0', name: 'rearward' },
        { id: '45', name: 'rearward and right' },
        { id: '90', name: 'to the right' },
        { id: '135', name: 'forward and right' },
        { id: '180', name: 'forward' },
        { id: '-135', name: 'forward and left' },
        { id: '-90', name: 'to the left' },
        { id: '-45', name: 'rearward and left' },
    ];
    /** What a run may end in; a turbine is where one begins. */
    const PARTS = PART_KINDS.filter(({ id }) => id !== 'turbine');
    const JOINED = [
        { id: 'socket', name: 'slips in, welded' },
        { id: 'slip', name: 'slips in, clamped' },
    ] as const;
    let part = $state<(typeof PARTS)[number]['id']>('muffler');
    let joined = $state<(typeof JOINED)[number]['id']>('socket');
    let partLength = $state('');
    let partMass = $state('');
    /** What the run ends in, if it does: behind that goes a run of its own. */
    const ending = $derived((desk.document.set.parts ?? []).find((one) => one.inlet === run.letter) ?? null);

    /** The run ends in a part: it goes in there, and nothing more is put on. */
    async function end(): Promise<void> {
        isBusy = true;
        const at = (desk.document.set.parts ?? []).length;
        const kind = PARTS.find(({ id }) => id === part);
        errors = await desk.tryEdit((document) => {
            const one = document.runs.find(({ letter }) => letter === run.letter);
            if (one) one.end = { ...one.end, kind: joined, name: kind?.name ?? '' };
            const parts = document.set.parts ?? [];
            document.set.parts = [
                ...parts,
                {
                    name: freeName(
                        kind?.name ?? 'Part',
                        parts.map(({ name }) => name),
                    ),
                    kind: part,
                    inlet: run.letter,
                    ...(partLength.trim() === '' ? {} : { length: partLength }),
                    ...(partMass.trim() === '' ? {} : { mass: partMass }),
                },
            ];
        }, `set.parts[${at}]`);
        errors = Object.fromEntries(
            Object.entries(errors).map(([path, said]) => [path.replace(`set.parts[${at}].`, 'part.'), said]),
        );
        isBusy = false;
    }

    function takeOff(): Promise<void> {
        return desk.edit((document) => {
            document.set.parts = (document.set.parts ?? []).filter(({ inlet }) => inlet !== run.letter);
            const one = document.runs.find(({ letter }) => letter === run.letter);
            if (one) one.end = { ...one.end, kind: 'open', name: '' };
        });
    }

    const ANGLE_BY = [
        { id: 'degrees', name: 'in degrees' },
        { id: 'outside', name: 'by marks along its outside' },
        { id: 'inside', name: 'by marks along its inside' },
        { id: 'side', name: 'by marks along its side' },
        { id: 'edge', name: 'by a straight-edge along the tube before it' },
    ];
    const TURN_BY = [
        { id: 'clock', name: 'its inside on the clock' },
        { id: 'fall', name: 'by how the tube falls behind it' },
        { id: 'marks', name: 'by marks round the tube' },
        { id: 'degrees', name: 'in degrees' },
    ];
    const TURN_LABELS: Record<string, string> = {
        clock: 'Hour, looking with the flow',
        fall: 'Falls below level, degrees',
        marks: 'From inside to inside, clockwise',
        degrees: 'Degrees, clockwise',
    };

    async function put(wish: GrowWish): Promise<void> {
        isBusy = true;
        errors = await desk.grow(wish);
        isBusy = false;
        if (Object.keys(errors).length === 0 && wish.do !== 'shorter') [before, after, length] = ['', '', ''];
    }

    function add(): Promise<void> {
        if (what === 'part') return end();
        return put(
            isBend
                ? {
                      do: 'bend',
                      clr: isPie ? numberOr(ownClr) : Number(chosenClr),
                      wedges: isPie ? numberOr(wedges) : '',
                      angle: numberOr(angle),
                      angleBy,
                      second: numberOr(second),
                      apart: numberOr(apart),
                      turn: turnBy === 'clock' ? turn.trim() : numberOr(turn),
                      turnBy,
                      isLeft: side === 'left',
                      before,
                      after,
                  }
                : what === 'leg'
                  ? { do: 'leg', length: numberOr(length) }
                  : { do: 'aim', toward: Number(toward), falls: numberOr(falls), clear },
        );
    }
</script>

<section class="sheet space-y-3 p-3" aria-label="The next piece">
    <div class="flex flex-wrap items-baseline gap-x-3">
        <h2 class="heading">{isFirst ? 'The first piece' : 'The next piece'}</h2>
        <p class="text-quiet">the run ends where its pieces end</p>
    </div>
    {#if run.whereItEnds}<p role="status">{run.whereItEnds}</p>{/if}
    {#if ending}
        <p>It ends in {ending.name}. What goes on behind that is a run of its own.</p>
        <Button onclick={() => void takeOff()}>Take {ending.name} off</Button>
    {:else}
        <div class="flex flex-wrap gap-2" role="group" aria-label="What it is">
            {#each WHAT as one (one.id)}
                <button
                    type="button"
                    class="min-h-10 border px-3 {what === one.id
                        ? 'bg-action text-on-action border-action'
                        : 'border-strong'}"
                    aria-pressed={what === one.id}
                    onclick={() => (what = one.id)}>{one.name}</button
                >
            {/each}
        </div>
        <form
            class="grid gap-3 sm:grid-cols-2"
            onsubmit={(event) => {
                event.preventDefault();
                void add();
            }}
        >
            {#if isBend}
                <SelectField
                    label="Radius"
                    value={isPie ? WEDGES : chosenClr}
                    options={[
                        ...radii.map(({ clrMm, upToDeg }) => ({
                            id: `${clrMm}`,
                            name: `${lengthText(clrMm, desk.view.units)}, up to ${upToDeg}°`,
                        })),
                        { id: WEDGES, name: 'any, made of wedges' },
                    ]}
                    error={isPie ? '' : err('clr')}
                    onchange={(next) => (clr = next)}
                />
                {#if isPie}
                    <TextField
                        label="Radius of the middle"
                        mono
                        value={ownClr}
                        error={err('clr')}
                        oninput={(event) => (ownClr = event.currentTarget.value)}
                    />
                    <TextField
                        label="Welds between wedges"
                        mono
                        value={wedges}
                        error={err('wedges')}
                        oninput={(event) => (wedges = event.currentTarget.value)}
                    />
                {/if}
                <SelectField
                    label="How far it bends is read"
                    value={angleBy}
                    options={ANGLE_BY}
                    error={err('angleBy')}
                    onchange={(next) => (angleBy = next)}
                />
                <TextField
                    label={angleBy === 'degrees'
                        ? `Degrees, up to ${isPie ? 180 : upTo}`
                        : angleBy === 'edge'
                          ? 'From edge to tube, first reading'
                          : 'Between the marks'}
                    mono
                    value={angle}
                    error={err('angle')}
                    oninput={(event) => (angle = event.currentTarget.value)}
                />
                {#if angleBy === 'edge'}
                    <TextField
                        label="Second reading"
                        mono
                        value={second}
                        error={err('second')}
                        oninput={(event) => (second = event.currentTarget.value)}
                    />
                    <TextField
                        label="So far apart along the edge"
                        mono
                        value={apart}
                        error={err('apart')}
                        oninput={(event) => (apart = event.currentTarget.value)}
                    />
                {/if}
                <SelectField
                    label="How it is turned is read"
                    value={turnBy}
                    options={TURN_BY}
                    error={err('turnBy')}
                    onchange={(next) => (turnBy = next)}
                />
                <TextField
                    label={TURN_LABELS[turnBy] ?? ''}
                    mono
                    value={turn}
                    error={err('turn')}
                    oninput={(event) => (turn = event.currentTarget.value)}
                />
                {#if turnBy === 'fall'}
                    <SelectField
                        label="Of both ways, to the"
                        value={side}
                        options={[
                            { id: 'right', name: 'right, looking with the flow' },
                            { id: 'left', name: 'left, looking with the flow' },
                        ]}
                        onchange={(next) => (side = next)}
                    />
                {:else}
                    <span class="hidden sm:block"></span>
                {/if}
                <TextField
                    label="Leg before it, if not as bought"
                    mono
                    value={before}
                    error={err('before')}
                    oninput={(event) => (before = event.currentTarget.value)}
                />
                <TextField
                    label="Leg behind it, if not as bought"
                    mono
                    value={after}
                    error={err('after')}
                    oninput={(event) => (after = event.currentTarget.value)}
                />
            {:else if what === 'part'}
                <SelectField
                    label="What it is"
                    value={part}
                    options={PARTS}
                    onchange={(next) => (part = next)}
                />
                <SelectField
                    label="The tube"
                    value={joined}
                    options={[...JOINED]}
                    onchange={(next) => (joined = next)}
                />
                <TextField
                    label="Its length"
                    mono
                    value={partLength}
                    error={err('part.length')}
                    oninput={(event) => (partLength = event.currentTarget.value)}
                />
                <TextField
                    label="Its weight"
                    mono
                    value={partMass}
                    error={err('part.mass')}
                    oninput={(event) => (partMass = event.currentTarget.value)}
                />
            {:else if what === 'aim'}
                <SelectField
                    label="It is to point"
                    value={toward}
                    options={TOWARD}
                    onchange={(next) => (toward = next)}
                />
                <TextField
                    label="Falling, degrees; 90 is straight down"
                    mono
                    value={falls}
                    error={err('falls')}
                    oninput={(event) => (falls = event.currentTarget.value)}
                />
                <TextField
                    label="Clear of everything by, if more than usual"
                    mono
                    value={clear}
                    error={err('clear')}
                    oninput={(event) => (clear = event.currentTarget.value)}
                />
                <p class="text-quiet text-sm">
                    A straight, one stocked bend and the tip: the shortest that points so, keeps clear of what
                    was surveyed, blows at nothing near, and stays within what is asked of outlets.
                </p>
            {:else}
                <TextField
                    label="How long"
                    mono
                    value={length}
                    error={err('length')}
                    oninput={(event) => (length = event.currentTarget.value)}
                />
            {/if}
            {#if err('hand')}<p class="text-stop sm:col-span-2" role="alert">✕ {err('hand')}</p>{/if}
            <div class="flex flex-wrap gap-2 sm:col-span-2">
                <Button look="main" type="submit" disabled={isBusy}
                    >{what === 'aim' ? 'Put on what it takes' : 'Put it on'}</Button
                >
                {#if !isFirst}
                    <Button disabled={isBusy} onclick={() => void put({ do: 'shorter' })}
                        >Take the last one off</Button
                    >
                {/if}
            </div>
        </form>
        <p class="text-quiet text-sm">
            Twelve on the clock is straight up; where the tube is plumb, straight forward. An angle that was
            guessed: cut it at the middle first, hold it, correct it on the disc, and put in what it became.
        </p>
    {/if}
</section>
