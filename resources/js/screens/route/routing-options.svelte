<script lang="ts">
    // What this job asks of its routes: the shop's own rules stand until something else is written here.
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { BendPlane, Preference, RoutingDocument, SetPlan } from '@/lib/answers';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    let open = $state(false);
    const routing = $derived(desk.document.set.routing ?? {});
    const rules = $derived(desk.plan.set.rules);
    type RoutingLimit = keyof SetPlan['rules'];
    const limits: { key: RoutingLimit; label: string }[] = [
        { key: 'maxBends', label: 'Most bends' },
        { key: 'firstStraight', label: 'Straight at the port' },
        { key: 'innerStraight', label: 'Between bends' },
        { key: 'lastStraight', label: 'At the inlet' },
        { key: 'gap', label: 'Gap to each other' },
    ];
    const preferences: { id: Preference; name: string }[] = [
        { id: 'few-bends', name: 'few bends' },
        { id: 'whole-angles', name: 'whole angles' },
        { id: 'little-turning', name: 'little turning' },
        { id: 'short-tubes', name: 'short tubes' },
    ];
    const planes: { id: BendPlane; name: string }[] = [
        { id: 'level', name: 'level' },
        { id: 'lengthwise', name: 'upright, lengthwise' },
        { id: 'crosswise', name: 'upright, crosswise' },
    ];
    const chosen = $derived(routing.planes ?? []);
    const looks = $derived(
        [
            ...(chosen.length > 0 ? ['bends in planes'] : []),
            ...(routing.evenGaps ? ['even gaps'] : []),
            ...(routing.mirrored ? ['mirrored banks'] : []),
        ].join(', '),
    );
    const bare = (text: string) => text.replace(/ (mm|in)$/, '');
    const prefer = $derived(routing.prefer ?? 'few-bends');

    function change(how: (routing: RoutingDocument) => void): void {
        void desk.edit((document) => {
            const one = { ...document.set.routing };
            how(one);
            document.set.routing = one;
        });
    }

    function limit(key: RoutingLimit, value: string): void {
        change((one) => {
            if (value.trim() === '') delete one[key];
            else if (key !== 'maxBends') one[key] = value;
            // What is no number is the server's to refuse, at its field.
            else one[key] = Number.isNaN(Number(value)) ? (value as never) : Number(value);
        });
    }

    function plane(id: BendPlane): void {
        const left = chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
        change((one) => {
            if (left.length > 0) one.planes = left;
            else delete one.planes;
        });
    }

    function look(key: 'evenGaps' | 'mirrored'): void {
        change((one) => {
            if (one[key]) delete one[key];
            else one[key] = true;
        });
    }
</script>

<section class="sheet px-3 py-2" aria-label="What routes must keep">
    <button
        type="button"
        class="flex w-full flex-wrap items-baseline gap-x-3 text-left"
        aria-expanded={open}
        onclick={() => (open = !open)}
    >
        <span class="label">Routes keep</span>
        <span class="figure text-[0.85rem] whitespace-normal"
            >≤ {rules.maxBends.text} bends · straights {bare(rules.firstStraight.text)}, {bare(
                rules.innerStraight.text,
            )}, {rules.lastStraight.text} · gap {rules.gap.text}</span
        >
        <span class="text-quiet"
            >{preferences.find((one) => one.id === prefer)?.name}{looks ? `; ${looks}` : ''}</span
        >
        <span class="label ml-auto">{open ? 'close' : 'change'}</span>
    </button>
    {#if open}
        <div class="mt-2 grid grid-cols-3 items-end gap-2">
            {#each limits as { key, label } (key)}
                <TextField
                    {label}
                    mono
                    value={routing[key] ?? ''}
                    placeholder={rules[key].text}
                    error={errorAt(desk.errors, `set.routing.${key}`)}
                    onchange={(value) => limit(key, value)}
                />
            {/each}
            <SelectField
                label="What counts most"
                value={prefer}
                options={preferences}
                onchange={(value) => change((one) => (one.prefer = value))}
            />
        </div>
        <div
            class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1"
            role="group"
            aria-label="Looks that count"
        >
            <span class="label">Looks that count</span>
            {#each planes as one (one.id)}
                {@render tick(`Bends ${one.name}`, chosen.includes(one.id), () => plane(one.id))}
            {/each}
            {@render tick('Even gaps', routing.evenGaps ?? false, () => look('evenGaps'))}
            {@render tick('One bank mirrors the other', routing.mirrored ?? false, () => look('mirrored'))}
        </div>
        <p class="text-quiet mt-1 text-sm">
            Empty fields follow the shop’s rules. Looks are paid for with bends and turning; the next search
            takes them into account.
        </p>
    {/if}
</section>

{#snippet tick(label: string, on: boolean, toggle: () => void)}
    <label class="flex items-center gap-1.5">
        <input type="checkbox" class="accent-action h-4 w-4" checked={on} onchange={toggle} />
        {label}
    </label>
{/snippet}
