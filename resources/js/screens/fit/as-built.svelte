<script lang="ts">
    // What stands is not quite where it was planned: the rest of the run is brought to its end again, before it is cut.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { AsBuilt, Joint } from '@/lib/answers';
    import { said } from '@/lib/http';
    import { sendInTurn } from '@/lib/in-turn';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; joint: Joint };
    let { desk, joint }: Props = $props();

    let off = $state({ rearward: '', right: '', up: '', rodRearward: '', rodRight: '', rodUp: '' });
    let isAimed = $state(false);
    let isByGap = $state(false);
    let gap = $state({ at12: '', at3: '', at6: '', at9: '', proud12: '', proud3: '' });
    const GAPS: [keyof typeof gap, string][] = [
        ['at12', 'Gap at 12'],
        ['at3', 'At 3'],
        ['at6', 'At 6'],
        ['at9', 'At 9'],
        ['proud12', 'Proud at 12'],
        ['proud3', 'Proud at 3'],
    ];
    /** What may stand behind it: the end of the run first, as that stands most often. */
    const behind = $derived.by(() => {
        const all = desk.memberOf(joint.id)?.joints ?? [];
        const at = all.findIndex((one) => one.id === joint.id);
        return [
            { id: 'end', name: 'the end of the run' },
            ...all.slice(at + 1).map((one) => ({ id: one.id, name: one.id })),
        ];
    });
    let upTo = $state('end');
    let answer = $state.raw<AsBuilt | null>(null);
    let failure = $state('');
    let asked = $state.raw<[string, unknown]>(['', null]);
    const isFor = $derived(asked[0] === joint.id && asked[1] === desk.document);
    const ways = ['rearward', 'right', 'up'] as const;
    const rods = ['rodRearward', 'rodRight', 'rodUp'] as const;
    const rod = $derived(desk.view.units === 'inch' ? '12 in' : '300 mm');

    async function look(): Promise<void> {
        const document = desk.document;
        const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/fit/as-built`, 'AsBuilt', {
            document,
            joint: joint.id,
            ...(isByGap ? { ...$state.snapshot(gap), upTo } : $state.snapshot(off)),
            ...(isAimed && !isByGap ? {} : { rodRearward: '', rodRight: '', rodUp: '' }),
        });
        asked = [joint.id, document];
        answer = reply.ok ? reply.data : null;
        failure = reply.ok ? '' : said(reply);
    }
</script>

<section class="sheet p-3" aria-label="It stands off at {joint.id}">
    <h2 class="heading">It stands off here</h2>
    <p class="text-quiet text-sm">
        What is fitted up to {joint.id} is held as it stands; the rest is brought to its end again, before it is
        cut.
    </p>
    <form
        class="mt-1 grid grid-cols-3 gap-2"
        onsubmit={(event) => {
            event.preventDefault();
            void look();
        }}
    >
        {#if isByGap}
            <SelectField
                label="What stands behind the gap"
                class="col-span-3"
                value={upTo}
                options={behind}
                onchange={(next) => (upTo = next)}
            />
            {#each GAPS as [key, label] (key)}
                <TextField
                    {label}
                    mono
                    value={gap[key]}
                    oninput={(event) => (gap[key] = event.currentTarget.value)}
                />
            {/each}
        {:else}
            {#each ways as way, i (i)}
                <TextField
                    label={way.charAt(0).toUpperCase() + way.slice(1)}
                    value={off[way]}
                    mono
                    oninput={(event) => (off[way] = event.currentTarget.value)}
                />
            {/each}
            {#if isAimed}
                <p class="col-span-3 text-sm">
                    A straight rod held in its end, {rod} long from there: its far end is off by
                </p>
                {#each rods as way, i (i)}
                    <TextField
                        label={way.slice('rod'.length)}
                        value={off[way]}
                        mono
                        oninput={(event) => (off[way] = event.currentTarget.value)}
                    />
                {/each}
            {:else}
                <button
                    type="button"
                    class="text-action col-span-3 min-h-[var(--tap)] justify-self-start text-sm underline"
                    onclick={() => (isAimed = true)}>It also points another way</button
                >
            {/if}
        {/if}
        <button
            type="button"
            class="text-action col-span-3 min-h-[var(--tap)] justify-self-start text-sm underline"
            onclick={() => (isByGap = !isByGap)}
            >{isByGap ? 'By how far it is off' : 'By the gap to what stands behind it'}</button
        >
        <Button type="submit" class="col-span-3 justify-self-start">What changes</Button>
    </form>
    {#if isFor && failure}<p class="text-stop mt-1" role="alert">✕ {failure}</p>{/if}
    {#if isFor && answer}
        <p class="mt-2 font-medium {answer.closed ? '' : 'text-stop'}">
            {answer.closed
                ? answer.otherWay
                    ? '△ With the bends it had the end is not met any more. With others it is:'
                    : '✓ The far end is in its place again.'
                : `✕ Its end stays ${answer.left} off, and no other way leads there from what stands: dress the next cut, or take the joint apart.`}
        </p>
        {#if answer.changes.length > 0}
            <table class="table-plain">
                <thead
                    ><tr
                        ><th>Piece</th><th class="num">Cut was</th><th class="num">is</th><th class="num"
                            >turn by</th
                        ></tr
                    ></thead
                >
                <tbody>
                    {#each answer.changes as one (one.mark)}
                        <tr
                            ><td>{one.mark}</td><td class="figure num"
                                >{one.was.value > 0 ? one.was.text : 'new'}</td
                            ><td class="figure num font-medium">{one.is.text}</td><td class="figure num"
                                >{one.turn.text}</td
                            ></tr
                        >
                    {/each}
                </tbody>
            </table>
        {/if}
        {#if desk.isDraft && answer.closed}
            <Button look="main" class="mt-1" onclick={() => answer && desk.replace(answer.document)}
                >Build the rest so</Button
            >
        {/if}
    {/if}
</section>
