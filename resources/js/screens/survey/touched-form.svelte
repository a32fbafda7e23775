<script lang="ts">
    // A solid by the points that were touched on it: two for a bar, three for a plane, four or more for a box; a bar that
    // moves in both its positions.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Kit } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { placeFrom, placeText } from '@/lib/readings';
    import { addTouched, type Errors } from '@/lib/survey';

    type Props = { desk: JobDesk; kits: Kit[]; onadded: () => void };
    let { desk, kits, onadded }: Props = $props();

    let kind = $state('other');
    let points = $state(['', '']);
    let diameter = $state('');
    let moves = $state(false);
    let errors = $state.raw<Errors>({});
    const known = $derived((desk.plan.measured?.points ?? []).map(({ name }) => name));
    const shape = $derived(
        moves
            ? 'all it sweeps'
            : points.length === 2
              ? 'a round bar'
              : points.length === 3
                ? 'a plane'
                : 'a level box',
    );
    const isBar = $derived(moves || points.length === 2);
    /** Its two ends in one position, then the same two in the other. */
    const calls = (i: number) =>
        moves ? `End ${(i % 2) + 1}, ${i < 2 ? 'one' : 'other'} position` : `Point ${i + 1}`;

    function setMoves(next: boolean): void {
        moves = next;
        if (next) points = [0, 1, 2, 3].map((i) => points[i] ?? '');
    }

    const err = (i: number) =>
        ['', '[0]', '[1]', '[2]'].map((axis) => errors[`points[${i}]${axis}`]?.[0]).find(Boolean) ?? '';

    async function add(): Promise<void> {
        errors = await addTouched(
            desk,
            kind,
            points.map((one) => placeFrom(one)),
            isBar ? diameter : '',
            moves,
        );
        if (Object.keys(errors).length === 0) onadded();
    }
</script>

<p class="text-quiet mb-3">
    Two points are the ends of a bar, three lie in a plane that everything is behind, four or more are held by
    a box along the first two. {known.length > 0
        ? `Points that were measured go by their name (${known.join(', ')}); what they may be off by is added.`
        : ''}
</p>
<form
    class="grid gap-3"
    onsubmit={(event) => {
        event.preventDefault();
        void add();
    }}
>
    <SelectField
        label="What it is"
        value={kind}
        options={kits.map((one) => ({ id: one.kind, name: one.name }))}
        onchange={(next) => (kind = next)}
    />
    <label class="tap flex items-center gap-2">
        <input type="checkbox" checked={moves} onchange={(event) => setMoves(event.currentTarget.checked)} />
        It moves: a bar, touched in both its positions
    </label>
    {#each points as point, i (i)}
        <TextField
            label="{calls(i)}: rearward; right; up"
            mono
            value={placeText(point)}
            placeholder="12; -3 1/2; 8 in"
            error={err(i)}
            oninput={(event) => (points[i] = event.currentTarget.value)}
        />
    {/each}
    {#if isBar}
        <TextField
            label="Diameter"
            mono
            value={diameter}
            error={errors['diameter']?.[0] ?? ''}
            oninput={(event) => (diameter = event.currentTarget.value)}
        />
    {/if}
    {#if errors['points'] || errors['']}
        <p class="text-stop" role="alert">✕ {(errors['points'] ?? errors[''])?.[0]}</p>
    {/if}
    <div class="flex flex-wrap items-baseline gap-2">
        <Button look="main" type="submit">Add {shape}</Button>
        {#if !moves}
            <Button onclick={() => (points = [...points, ''])} disabled={points.length >= 24}
                >One more point</Button
            >
        {/if}
        {#if points.length > 2 && !moves}
            <Button look="quiet" onclick={() => (points = points.slice(0, -1))}>One less</Button>
        {/if}
    </div>
</form>
