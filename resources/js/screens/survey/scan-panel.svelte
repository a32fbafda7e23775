<script lang="ts">
    // What is taken from a scan: a port by a tap on it, its own place by taps on what is known, the part that matters.
    import { onDestroy, untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { ScanFit, Triple } from '@/lib/answers';
    import { errorsOf } from '@/lib/http';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { lengthText } from '@/lib/length-text';
    import { placeFrom } from '@/lib/readings';
    import { askScan } from '@/lib/survey';

    type Props = {
        desk: JobDesk;
        name: string;
        ontapping: (next: { on: string; take: (at: Triple) => void } | null) => void;
    };
    let { desk, name, ontapping }: Props = $props();

    type Tool = 'port' | 'datum' | 'cut';
    const TOOLS: { id: Tool; name: string }[] = [
        { id: 'port', name: 'A port from it' },
        { id: 'datum', name: 'Bring it to the datum' },
        { id: 'cut', name: 'Cut it to the room' },
    ];
    let tool = $state<Tool | null>(null);
    let tapped = $state('');
    let fit = $state.raw<ScanFit | null>(null);
    let isTurned = $state(false);
    let bore = $state('0');
    let end = $state('');
    let pairs = $state([
        { tapped: '', known: '' },
        { tapped: '', known: '' },
        { tapped: '', known: '' },
    ]);
    let room = $state(untrack(() => lengthText(150, desk.view.units)));
    let errors = $state.raw<Record<string, string[]>>({});
    let done = $state('');
    let isBusy = $state(false);

    const MOST_PAIRS = 12;
    const ends = $derived(
        desk.document.runs.flatMap((one) => [
            { id: `${one.letter}.start`, name: `start of run ${one.letter}` },
            ...(one.end.free ? [] : [{ id: `${one.letter}.end`, name: `end of run ${one.letter}` }]),
        ]),
    );
    const chosenEnd = $derived(ends.some(({ id }) => id === end) ? end : (ends[0]?.id ?? ''));
    const found = $derived(fit?.bores[Number(bore)] ?? null);
    const err = (...keys: string[]) => keys.map((key) => errors[key]?.[0]).find(Boolean) ?? '';
    const shown = (at: Triple) => at.map((mm) => lengthText(mm, desk.view.units)).join('; ');

    onDestroy(() => ontapping(null));

    function choose(next: Tool): void {
        tool = tool === next ? null : next;
        [errors, done, fit] = [{}, '', null];
        ontapping(tool === null || tool === 'cut' ? null : { on: name, take });
    }

    /** A press in the picture fills the field that waits for one. */
    function take(at: Triple): void {
        if (tool === 'port') {
            tapped = shown(at);
            void look();
        } else {
            const next = pairs.find((one) => one.tapped === '') ?? pairs[pairs.length - 1];
            if (next) next.tapped = shown(at);
        }
    }

    async function run(what: () => Promise<void>): Promise<void> {
        [errors, done, isBusy] = [{}, '', true];
        await what();
        isBusy = false;
    }

    const look = () =>
        run(async () => {
            const reply = await askScan(desk, 'fit', 'ScanFit', { keepOut: name, tap: placeFrom(tapped) });
            fit = reply.ok ? reply.data : null;
            [bore, isTurned] = ['0', false];
            if (!reply.ok) errors = errorsOf(reply);
        });

    /** Gas flows out of a face where a run starts, and into it where one ends. */
    function takeEnd(): void {
        const now = fit;
        if (!now) return;
        const [letter, side] = chosenEnd.split('.');
        const sign = (side === 'end' ? -1 : 1) * (isTurned ? -1 : 1);
        const at = found?.at ?? now.at;
        const width = found?.diameter ?? null;
        void desk.edit((document) => {
            const one = document.runs.find((it) => it.letter === letter);
            const place = side === 'start' ? one?.start : one?.end;
            if (!place) return;
            place.at = at.map((mm) => lengthText(mm, desk.view.units)) as typeof place.at;
            place.direction = now.way.map((part) => sign * part + 0) as Triple;
            if (width !== null && side === 'start')
                place.bore = { shape: 'round', width: lengthText(width, desk.view.units), turn: 0 };
        });
        done = `Taken as the ${ends.find(({ id }) => id === chosenEnd)?.name ?? ''}.`;
    }

    const bring = () =>
        run(async () => {
            const all = pairs.filter((one) => one.tapped.trim() !== '' || one.known.trim() !== '');
            const reply = await askScan(desk, 'place', 'ScanPlaced', {
                keepOut: name,
                tapped: all.map((one) => placeFrom(one.tapped)),
                known: all.map((one) => placeFrom(one.known)),
            });
            if (!reply.ok) {
                errors = errorsOf(reply);
                return;
            }
            await desk.replace(reply.data.document);
            done =
                all.length > 3
                    ? `There. The places are off by ${reply.data.off.map(({ text }) => text).join(', ')}.`
                    : 'There. A fourth place would tell how well they agree.';
        });

    const cut = () =>
        run(async () => {
            const reply = await askScan(desk, 'cut', 'ScanCut', { keepOut: name, room });
            if (!reply.ok) {
                errors = errorsOf(reply);
                return;
            }
            await desk.replace(reply.data.document);
            done = `${reply.data.triangles.toLocaleString('en')} of ${reply.data.before.toLocaleString('en')} triangles are kept. Cut open, it is a skin without an inside.`;
        });
</script>

<section class="bg-wash mb-2 space-y-2 p-2" aria-label="From the scan {name}">
    <div class="flex flex-wrap gap-1" role="group" aria-label="What is taken from it">
        {#each TOOLS as one (one.id)}
            <button
                type="button"
                class="min-h-9 border px-3 {tool === one.id
                    ? 'bg-action text-on-action border-action'
                    : 'bg-sheet border-strong'}"
                aria-pressed={tool === one.id}
                onclick={() => choose(one.id)}>{one.name}</button
            >
        {/each}
    </div>
    {#if tool === 'port'}
        <p class="text-sm">
            Press the flange beside the port in the picture, or the inside of its bore; or write where that
            is.
        </p>
        <div class="flex flex-wrap items-end gap-2">
            <TextField
                label="Tapped at: rearward; right; up"
                class="grow"
                mono
                value={tapped}
                error={err('tap', 'tap[0]', 'tap[1]', 'tap[2]')}
                oninput={(event) => (tapped = event.currentTarget.value)}
            />
            <Button disabled={isBusy} onclick={look}>What is there</Button>
        </div>
        {#if fit}
            <p role="status">{fit.says}</p>
            {#if fit.bores.length > 0}
                <SelectField
                    label={fit.isFace ? 'The opening in it' : 'The bore'}
                    value={bore}
                    options={[
                        ...fit.bores.map((one, i) => ({ id: `${i}`, name: one.says })),
                        ...(fit.isFace ? [{ id: 'none', name: 'none: where it was tapped' }] : []),
                    ]}
                    onchange={(next) => (bore = next)}
                />
            {/if}
            <label class="tap flex items-center gap-2">
                <input type="checkbox" bind:checked={isTurned} />
                It points the other way
            </label>
            <div class="flex flex-wrap items-end gap-2">
                <SelectField
                    label="It is the"
                    value={chosenEnd}
                    options={ends}
                    onchange={(next) => (end = next)}
                />
                <Button look="main" onclick={takeEnd}>Take it</Button>
            </div>
        {/if}
    {:else if tool === 'datum'}
        <p class="text-sm">
            Press three places or more whose place is known, well apart, and write where each is: three
            lengths, or the name of a measured point. The whole scan is turned and moved there.
        </p>
        {#each pairs as pair, i (i)}
            <div class="grid gap-2 sm:grid-cols-2">
                <TextField
                    label="Place {i + 1} on the scan"
                    mono
                    value={pair.tapped}
                    error={err(`tapped[${i}]`, `tapped[${i}][0]`, `tapped[${i}][1]`, `tapped[${i}][2]`)}
                    oninput={(event) => (pair.tapped = event.currentTarget.value)}
                />
                <TextField
                    label="Place {i + 1} is at"
                    mono
                    value={pair.known}
                    error={err(`known[${i}]`, `known[${i}][0]`, `known[${i}][1]`, `known[${i}][2]`)}
                    oninput={(event) => (pair.known = event.currentTarget.value)}
                />
            </div>
        {/each}
        <div class="flex flex-wrap gap-2">
            <Button look="main" disabled={isBusy} onclick={bring}>Bring it there</Button>
            <Button
                disabled={pairs.length >= MOST_PAIRS}
                onclick={() => (pairs = [...pairs, { tapped: '', known: '' }])}>One more place</Button
            >
        </div>
    {:else if tool === 'cut'}
        <div class="flex flex-wrap items-end gap-2">
            <TextField
                label="Room kept round the runs"
                mono
                value={room}
                error={err('room')}
                oninput={(event) => (room = event.currentTarget.value)}
            />
            <Button look="main" disabled={isBusy} onclick={cut}>Cut it</Button>
        </div>
    {/if}
    {#if err('known', 'tapped', 'keepOut', '')}
        <p class="text-stop" role="alert">✕ {err('known', 'tapped', 'keepOut', '')}</p>
    {/if}
    {#if done}<p role="status">{done}</p>{/if}
</section>
