<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { onMount } from 'svelte';
    import Button from '@/kit/button.svelte';
    import type { Person, SmallCard, SmallScreen } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { onKeys } from '@/lib/keys';
    import { newest } from '@/lib/newest';
    import { toggleTheme } from '@/lib/theme.svelte';
    import ShopHead from '@/parts/shop-head.svelte';
    import ChoiceRow from './choice-row.svelte';
    import SettingsCard from './settings-card.svelte';

    let { shop, kinds, places, metals, tubes, person }: SmallScreen & { person: Person } = $props();

    let keys = $state(false);
    /** What is asked for most; every choice changes the card at once. */
    let wish = $state({
        kind: 'bung',
        place: 'behind-turbine',
        units: 'inch',
        tube: 'T3.000x.065',
        metal: '304L',
        crack: '1 in',
        dams: '12 in',
    });
    let card = $state.raw<SmallCard | null>(null);
    let errors = $state<Record<string, string>>({});
    let trouble = $state('');
    let isBusy = $state(false);

    const lengths = (texts: string[]) => texts.map((text) => ({ id: text, name: text, usual: true }));
    const CRACKS = lengths(['1/2 in', '1 in', '2 in', '4 in']);
    const DAMS = lengths(['6 in', '12 in', '24 in', '48 in']);
    const isRefused = $derived(card?.notices.some((one) => one.severity === 'problem') ?? true);

    function fails(reply: { message: string; errors?: Record<string, string[]> }): void {
        errors = Object.fromEntries(
            Object.entries(reply.errors ?? {}).map(([key, all]) => [key, all[0] ?? '']),
        );
        trouble = reply.errors ? '' : reply.message;
    }

    const work = newest(async (what: typeof wish) => {
        const reply = await send('POST', '/small/card', 'SmallCard', what);
        if (!reply.ok) return fails(reply);
        [card, errors, trouble] = [reply.data, {}, ''];
    });

    function choose(change: Partial<typeof wish>): void {
        wish = { ...wish, ...change };
        void work(wish);
    }

    onMount(() => void work(wish));

    async function begin(): Promise<void> {
        isBusy = true;
        const reply = await send('POST', '/small', 'Begun', wish);
        isBusy = false;
        if (reply.ok) router.visit(`/jobs/${reply.data.id}/bench`);
        else fails(reply);
    }
</script>

<svelte:head><title>Small job · Upswept Bead</title></svelte:head>
<svelte:window onkeydown={onKeys({ '?': () => (keys = true), t: toggleTheme })} />

<ShopHead {shop} place="Rack" {person} bind:keys />

<main class="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
    <section class="space-y-4" aria-label="What is done">
        <h1 class="heading text-xl">Small job, on a tube that is there already</h1>
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
                choices={CRACKS}
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
            label="From dam to dam"
            value={wish.dams}
            choices={DAMS}
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
