<script lang="ts">
    // One branch: how it stands on its run, what the seam and the hole come to, its two templates.
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { BranchPlan, SaddleDocument } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import Templates from '@/parts/templates.svelte';

    type Props = { desk: JobDesk; branch: BranchPlan; mayPlan: boolean };
    let { desk, branch, mayPlan }: Props = $props();

    const seats = [
        { id: 'set-on', name: 'on the outside' },
        { id: 'set-in', name: 'through the wall' },
    ] as const;
    const side = $derived(branch.isStart ? 'start' : 'end');
    const index = $derived(desk.document.runs.findIndex((run) => run.letter === branch.letter));
    const saddle = $derived(desk.document.runs[index]?.[side].saddle);
    const run = $derived(desk.plan.runs.find((one) => one.letter === branch.letter));
    const mains = $derived(
        desk.document.runs
            .filter((one) => one.letter !== branch.letter)
            .map((one) => ({ id: one.letter, name: `run ${one.letter}, ${one.name}` })),
    );
    const isMade = $derived(branch.cut.length > 0);
    const error = (field: string) => errorAt(desk.errors, `runs[${index}].${side}.saddle.${field}`);

    function change(with_: (saddle: SaddleDocument) => void): void {
        void desk.edit((document) => {
            const one = document.runs[index]?.[side].saddle;
            if (one) with_(one);
        });
    }
</script>

<section class="sheet p-3" aria-label="Branch {branch.letter}">
    <div class="flex items-baseline justify-between gap-3">
        <h2 class="heading">
            {branch.letter}
            <span class="text-quiet font-normal">{branch.isStart ? 'out of' : 'into'} run {branch.on}</span>
        </h2>
        <span class="figure text-sm">{run?.tube?.name ?? ''}</span>
    </div>
    {#if !isMade}
        <p class="text-stop mt-2">✕ {branch.lack}</p>
    {:else}
        <div class="border-line my-2 grid grid-cols-3 gap-3 border-y py-2">
            <p>
                <span class="label block">Angle to the flow</span>
                <span class="figure text-2xl font-medium">{branch.angle.text}</span>
            </p>
            <p>
                <span class="label block">Seam all round</span>
                <span class="figure text-2xl font-medium">{branch.seam.text}</span>
            </p>
            <p>
                <span class="label block">Cut reaches over</span>
                <span class="figure text-2xl font-medium">{branch.reach.text}</span>
            </p>
        </div>
        <p>
            Grind the branch until it seats without a gap, tack it into its own run, mark the hole from the
            fitted branch, then cut it. The saddle is welded last; bevel the acute side first.
        </p>
    {/if}
</section>

{#if mayPlan && saddle}
    <section class="sheet grid grid-cols-6 gap-3 p-3" aria-label="How it stands">
        <SelectField
            class="col-span-3"
            label="Stands on"
            value={saddle.on}
            options={mains}
            error={error('on')}
            onchange={(value) => change((one) => (one.on = value))}
        />
        <SelectField
            class="col-span-3"
            label="Seats"
            value={saddle.seat ?? 'set-on'}
            options={[...seats]}
            onchange={(value) => change((one) => (one.seat = value))}
        />
        <TextField
            class="col-span-2"
            label="Along run {saddle.on}"
            mono
            value={saddle.station}
            error={error('station')}
            onchange={(value) => change((one) => (one.station = value))}
        />
        <TextField
            class="col-span-2"
            label="Round it from top, °"
            mono
            value={saddle.fromTop ?? 0}
            error={error('fromTop')}
            onchange={(value) => change((one) => (one.fromTop = value))}
        />
        <TextField
            class="col-span-2"
            label="Angle between flows, °"
            mono
            value={saddle.angle ?? 90}
            error={error('angle')}
            onchange={(value) => change((one) => (one.angle = value))}
        />
        <TextField
            class="col-span-2"
            label="Offset to the side"
            mono
            value={saddle.offset ?? 0}
            error={error('offset')}
            onchange={(value) => change((one) => (one.offset = value))}
        />
        <TextField
            class="col-span-4"
            label="A stub only: reaches from the centreline by"
            mono
            value={saddle.stub ?? ''}
            error={error('stub')}
            onchange={(value) =>
                change((one) => {
                    if (value.trim() === '') delete one.stub;
                    else one.stub = value;
                })}
        />
        <p class="text-quiet col-span-6 text-sm">
            A small angle goes with the flow. On the outside its hole is as wide as its bore; through the
            wall, as its outside. Without a stub the run is routed like any other, from here to its other end.
        </p>
    </section>
{/if}
{#if isMade}
    <Templates {desk} marks={branch.templates} />
{/if}
