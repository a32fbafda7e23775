<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { onMount, untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Person, SmallCard, SmallChoice, SmallScreen, Units } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { onKeys } from '@/lib/keys';
    import { newest } from '@/lib/newest';
    import { toggleTheme } from '@/lib/theme.svelte';
    import ShopHead from '@/parts/shop-head.svelte';
    import ChoiceRow from './choice-row.svelte';
    import SettingsCard from './settings-card.svelte';

    let { shop, kinds, places, roots, root, metals, tubes, person }: SmallScreen & { person: Person } =
        $props();

    const UNITS = 'bead-units';
    const lengths = (texts: string[]) => texts.map((text) => ({ id: text, name: text, usual: true }));
    const CRACKS: Record<Units, SmallChoice[]> = {
        inch: lengths(['1/2 in', '1 in', '2 in', '4 in']),
        metric: lengths(['10 mm', '25 mm', '50 mm', '100 mm']),
    };
    const DAMS: Record<Units, SmallChoice[]> = {
        inch: lengths(['6 in', '12 in', '24 in', '48 in']),
        metric: lengths(['150 mm', '300 mm', '600 mm', '1200 mm']),
    };
    const START: Record<Units, { crack: string; dams: string }> = {
        inch: { crack: '1 in', dams: '12 in' },
        metric: { crack: '25 mm', dams: '300 mm' },
    };

    /** As they were chosen last on this device. */
    function usualUnits(): Units {
        try {
            return localStorage.getItem(UNITS) === 'metric' ? 'metric' : 'inch';
        } catch {
            return 'inch';
        }
    }

    let keys = $state(false);
    /** What is asked for most; every choice changes the card at once. */
    let wish = $state({
        kind: 'bung',
        place: 'behind-turbine',
        tube: 'T3.000x.065',
        metal: '304L',
        root: untrack(() => root),
        why: '',
        units: usualUnits(),
        ...START[usualUnits()],
    });
    let card = $state.raw<SmallCard | null>(null);
    let errors = $state<Record<string, string>>({});
    let trouble = $state('');
    let isBusy = $state(false);

    const isRefused = $derived(card?.notices.some((one) => one.severity === 'problem') ?? true);

    function fails(reply: { message: string; errors?: Record<string, string[]> }): void {
        errors = Object.fromEntries(
            Object.entries(reply.errors ?? {}).map(([key, all]) => [key, all[0] ?? '']),
        );
        trouble = Object.keys(errors).length > 0 ? '' : reply.message;
    }

    /** What the shop does anyway takes no reason of its own. */
    const asked = (what: typeof wish) => ({ ...what, root: what.root === root ? null : what.root });

    const work = newest(async (what: typeof wish) => {
        const reply = await send('POST', '/small/card', 'SmallCard', asked(what));
        if (!reply.ok) return fails(reply);
        [card, errors, trouble] = [reply.data, {}, ''];
    });

    function choose(change: Partial<typeof wish>): void {
        wish = { ...wish, ...change };
        void work(wish);
    }

    /** The card in other units; lengths of a row go over to the other row, what was measured stays as it was typed. */
    function show(units: Units): void {
        if (units === wish.units) return;
        try {
            localStorage.setItem(UNITS, units);
        } catch {
            // Storage may be closed to us; the units then last as long as the page.
        }
        const other = (rows: Record<Units, SmallChoice[]>, text: string) => {
            const place = rows[wish.units].findIndex((one) => one.id === text);
            return rows[units][place]?.id ?? text;
        };
        choose({ units, crack: other(CRACKS, wish.crack), dams: other(DAMS, wish.dams) });
    }

    onMount(() => void work(wish));

    async function begin(): Promise<void> {
        isBusy = true;
        const reply = await send('POST', '/small', 'Begun', asked(wish));
        isBusy = false;
        if (reply.ok) router.visit(`/jobs/${reply.data.id}/bench`);
        else fails(reply);
    }
</script>

<svelte:head><title>Small job · Upswept Bead</title></svelte:head>
<svelte:window
    onkeydown={onKeys({
        '?': () => (keys = true),
        t: toggleTheme,
        u: () => show(wish.units === 'inch' ? 'metric' : 'inch'),
    })}
/>

<ShopHead {shop} place="Rack" {person} bind:keys />

<main class="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
    <section class="space-y-4" aria-label="What is done">
        <div class="flex flex-wrap items-end justify-between gap-2">
            <h1 class="heading text-xl">Small job, on a tube that is there already</h1>
            <div class="flex gap-2" role="group" aria-label="Units">
                {#each [{ id: 'inch', name: 'inch' }, { id: 'metric', name: 'mm' }] as const as one (one.id)}
                    <button
                        type="button"
                        aria-pressed={wish.units === one.id}
                        class="font-label min-h-15 min-w-15 rounded-[2px] border px-4 text-lg {wish.units ===
                        one.id
                            ? 'bg-wash border-action border-2 font-semibold'
                            : 'bg-sheet border-strong'}"
                        onclick={() => show(one.id)}>{one.name}</button
                    >
                {/each}
            </div>
        </div>
        <ChoiceRow
            label="What"
            value={wish.kind}
            choices={kinds}
            error={errors['kind']}
            onchange={(kind) => choose({ kind })}
        />
        {#if wish.kind === 'crack'}
            <ChoiceRow
                label="Its length, ground out"
                value={wish.crack}
                free
                choices={CRACKS[wish.units]}
                error={errors['crack']}
                onchange={(crack) => choose({ crack })}
            />
        {/if}
        <ChoiceRow
            label="Where"
            value={wish.place}
            choices={places}
            error={errors['place']}
            onchange={(place) => choose({ place })}
        />
        <ChoiceRow
            label="Tube"
            value={wish.tube}
            choices={tubes}
            error={errors['tube']}
            onchange={(tube) => choose({ tube })}
        />
        <ChoiceRow
            label="Its metal"
            value={wish.metal}
            choices={metals}
            error={errors['metal']}
            onchange={(metal) => choose({ metal })}
        />
        <ChoiceRow
            label="Purge: its root is shielded by"
            value={wish.root}
            choices={roots}
            error={errors['root']}
            onchange={(chosen) => choose({ root: chosen })}
        />
        <p class="text-quiet">{roots.find((one) => one.id === wish.root)?.why}</p>
        {#if wish.root === 'none'}
            <TextField
                label="Why without any shield"
                value={wish.why}
                error={errors['why'] ?? ''}
                maxlength={200}
                onchange={(why) => choose({ why })}
            />
        {/if}
        <ChoiceRow
            label="From dam to dam"
            value={wish.dams}
            free
            choices={DAMS[wish.units]}
            error={errors['dams']}
            onchange={(dams) => choose({ dams })}
        />
    </section>
    <div class="space-y-3">
        <Button look="main" big class="w-full" disabled={isBusy || isRefused} onclick={begin}
            >Log it as a job and go to the bench</Button
        >
        {#if trouble}<p class="text-stop" role="alert">✕ {trouble}</p>{/if}
        {#if card}<SettingsCard {card} />{:else if !trouble}<p class="sheet text-quiet p-4">
                Working it out …
            </p>{/if}
    </div>
</main>
