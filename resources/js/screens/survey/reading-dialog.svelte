<script lang="ts">
    // One reading: chosen by what it tells, with what to hold where; added once the server has taken it.
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import type { ReadingDocument } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import {
        add,
        begin,
        CHECKS,
        DIRECTION_WAYS,
        endName,
        freeId,
        measuredOf,
        PLACE_WAYS,
        wayOf,
        type ReadingWay,
    } from '@/lib/readings';
    import ReadingDrawing from './reading-drawing.svelte';
    import ReadingForm from './reading-form.svelte';

    type Props = {
        desk: JobDesk;
        /** The reading that is changed; null for a new one. */
        reading: ReadingDocument | null;
        /** What a new one is about at first. */
        of: string;
        open: boolean;
    };
    let { desk, reading: given, of, open = $bindable() }: Props = $props();

    const GROUPS = [
        { name: 'Where it is', ways: PLACE_WAYS },
        { name: 'Which way it points', ways: DIRECTION_WAYS },
        { name: 'To check', ways: CHECKS },
    ];
    const FIRST = PLACE_WAYS[0] as ReadingWay;

    let way = $state.raw<ReadingWay>(untrack(() => (given ? wayOf(given) : FIRST)));
    let reading = $state.raw<ReadingDocument>(
        untrack(() => given ?? begin(FIRST, of, freeId(desk.document))),
    );
    let errors = $state.raw<Record<string, string>>({});
    let isBusy = $state(false);

    const points = $derived((desk.document.measured?.points ?? []).map(({ name }) => name));
    const ends = $derived(
        desk.document.runs.flatMap(({ letter }) => [endName(letter, true), endName(letter, false)]),
    );

    function choose(next: ReadingWay): void {
        const about = next.isOfEnd && !ends.includes(reading.of) ? (ends[0] ?? '') : reading.of;
        way = next;
        reading = begin(next, about, reading.id);
        errors = {};
    }

    async function keep(): Promise<void> {
        isBusy = true;
        const id = reading.id;
        const there = desk.document.measured?.readings ?? [];
        const known = there.findIndex((one) => one.id === id);
        const head = `measured.readings[${known >= 0 ? known : there.length}].`;
        const refused = await desk.tryEdit((document) => {
            if (known >= 0) measuredOf(document).readings[known] = reading;
            else add(document, reading, way.finds);
        }, head);
        errors = Object.fromEntries(
            Object.entries(refused).map(([path, [first]]) => [path.slice(head.length), first ?? '']),
        );
        if (Object.keys(errors).length === 0) open = false;
        isBusy = false;
    }
</script>

<Dialog bind:open wide title={given ? 'Change a reading' : 'Add a reading'}>
    <form
        class="grid gap-4 sm:grid-cols-[15rem_1fr]"
        onsubmit={(event) => {
            event.preventDefault();
            void keep();
        }}
    >
        {#if !given}
            <div class="space-y-2">
                {#each GROUPS as group (group.name)}
                    <p class="label">{group.name}</p>
                    <ul class="border-line border">
                        {#each group.ways as one (one.id)}
                            <li>
                                <button
                                    type="button"
                                    class="w-full px-2 py-1 text-left text-[0.95rem] {one.id === way.id
                                        ? 'bg-action text-on-action'
                                        : 'hover:bg-wash'}"
                                    aria-pressed={one.id === way.id}
                                    onclick={() => choose(one)}>{one.name}</button
                                >
                            </li>
                        {/each}
                    </ul>
                {/each}
            </div>
        {/if}
        <div class="space-y-3">
            <h3 class="heading">{way.name}</h3>
            <div class="flex flex-wrap items-center gap-4">
                <div class="w-56"><ReadingDrawing way={way.id} /></div>
                <p class="min-w-40 flex-1">{way.how}</p>
            </div>
            <ReadingForm
                {way}
                {reading}
                {points}
                {ends}
                err={(field) => errors[field] ?? ''}
                onchange={(next) => (reading = next)}
            />
            <div class="flex gap-2">
                <Button look="main" type="submit" disabled={isBusy}>{given ? 'Keep it' : 'Add it'}</Button>
                <Button onclick={() => (open = false)}>Cancel</Button>
            </div>
        </div>
    </form>
</Dialog>
