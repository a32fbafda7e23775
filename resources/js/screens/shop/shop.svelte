<script lang="ts">
    // What the shop works by: where the trade has more than one way, which; and every rule beside common practice.
    import { router } from '@inertiajs/svelte';
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import type { Person, School, ShopRule, ShopScreen } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { onKeys } from '@/lib/keys';
    import { toggleTheme } from '@/lib/theme.svelte';
    import ShopHead from '@/parts/shop-head.svelte';
    import Quality from './quality.svelte';

    type Props = ShopScreen & { person: Person; currency: string };
    let { shop, version, units, quality, currency, schools, groups, person }: Props = $props();

    let keys = $state(false);
    /** Another page may lead to some of the rules. */
    let words = $state(new URLSearchParams(location.search).get('find') ?? '');
    let finder: HTMLInputElement | undefined = $state();
    let failure = $state('');
    /** What is wrong with what was typed, by rule. */
    let errors = $state<Record<string, string>>({});
    let current = untrack(() => version);

    const isOwner = $derived(person.role === 'owner');
    const shown = $derived(
        groups
            .map((group) => ({ ...group, rules: group.rules.filter((rule) => isFound(rule)) }))
            .filter((group) => group.rules.length > 0),
    );
    const own = $derived(groups.flatMap((group) => group.rules).filter((rule) => rule.isOwn).length);

    function isFound(rule: ShopRule): boolean {
        const text = `${rule.label} ${rule.key}`.toLowerCase();
        return words
            .toLowerCase()
            .split(/\s+/)
            .every((word) => text.includes(word));
    }

    async function change(what: {
        schools?: Record<string, string>;
        rules?: Record<string, string>;
        currency?: string;
    }) {
        failure = '';
        const reply = await send('PUT', '/shop', 'ShopChanged', { version: current, ...what });
        if (reply.ok) {
            current = reply.data.version;
            errors = {};
        } else {
            failure = reply.message;
            const of = 'errors' in reply ? reply.errors : {};
            errors = Object.fromEntries(
                Object.keys(what.rules ?? {}).map((key) => [key, of[`rules.${key}`]?.[0] ?? reply.message]),
            );
            if (reply.status !== 409) return;
        }
        router.reload({
            only: ['version', 'schools', 'groups', 'currency'],
            onSuccess: () => (current = version),
        });
    }

    const chosen = (school: School) => school.options.find((one) => one.value === school.value);
    const show = (next: 'inch' | 'metric') =>
        router.get('/shop', { units: next }, { preserveState: true, preserveScroll: true, replace: true });
</script>

<svelte:head><title>Shop · Upswept Bead</title></svelte:head>
<svelte:window
    onkeydown={onKeys({
        '/': () => finder?.focus(),
        '?': () => (keys = true),
        t: toggleTheme,
        u: () => show(units === 'metric' ? 'inch' : 'metric'),
    })}
/>

<ShopHead {shop} place="Shop" {person} bind:keys />

<main class="space-y-3 p-3">
    <section class="sheet p-3" aria-label="Schools">
        <h2 class="heading">Where the trade has more than one way</h2>
        <div class="mt-2 grid gap-x-6 gap-y-3 lg:grid-cols-2">
            {#each schools as school (school.key)}
                <div>
                    <SelectField
                        label={school.label}
                        class="max-w-sm"
                        value={school.value}
                        disabled={!isOwner}
                        options={school.options.map((one) => ({
                            id: one.value,
                            name: one.isUsual ? `${one.label} (usual)` : one.label,
                        }))}
                        onchange={(value) => void change({ schools: { [school.key]: value } })}
                    />
                    <p class="mt-1">{chosen(school)?.why}</p>
                </div>
            {/each}
            <TextField
                label="Currency"
                class="max-w-40"
                value={currency}
                disabled={!isOwner}
                maxlength={4}
                placeholder="$ or CHF"
                onchange={(value) => void change({ currency: value })}
            />
        </div>
        <p class="text-quiet mt-2 text-sm">
            A job, and a single joint, may do otherwise on its Weld sheet. Released jobs keep what counted
            when they were released.
        </p>
    </section>
    <Quality {quality} />

    <section class="sheet" aria-label="Rules">
        <div class="flex flex-wrap items-end gap-x-6 gap-y-2 p-3">
            <div class="min-w-48 grow">
                <label class="label block" for="find-rule">Find a rule <span class="key">/</span></label>
                <input
                    id="find-rule"
                    bind:this={finder}
                    bind:value={words}
                    class="bg-sheet border-strong w-full max-w-md rounded-[2px] border px-2 py-1"
                />
            </div>
            <p class="text-quiet">
                {own === 0 ? 'All as common practice has it.' : `${own} of the shop’s own.`}
                {isOwner ? 'An empty field takes common practice back.' : 'The owner changes them.'}
            </p>
            <SelectField
                label="Shown in"
                class="w-28"
                value={units}
                options={[
                    { id: 'metric', name: 'mm' },
                    { id: 'inch', name: 'inch' },
                ]}
                onchange={show}
            />
        </div>
        {#if failure}<p class="text-stop px-3 pb-2" role="alert">✕ {failure}</p>{/if}
        <table class="table-plain table-stack">
            <thead
                ><tr
                    ><th>Rule</th><th class="w-40">The shop’s</th><th class="num w-32">Usual</th><th
                        >Source</th
                    ></tr
                ></thead
            >
            <tbody>
                {#each shown as group (group.name)}
                    <tr class="stack-head"><th colspan="4" scope="rowgroup">{group.name}</th></tr>
                    {#each group.rules as rule (rule.key)}
                        <tr class={rule.isOwn ? 'bg-wash' : ''}>
                            <td data-label="Rule">{rule.label}</td>
                            <td data-label="The shop’s">
                                <input
                                    class="figure bg-sheet w-36 rounded-[2px] border px-2 py-0.5 text-right {errors[
                                        rule.key
                                    ]
                                        ? 'border-stop border-2'
                                        : rule.isOwn
                                          ? 'border-action'
                                          : 'border-line'}"
                                    value={rule.text}
                                    disabled={!isOwner}
                                    aria-label={rule.label}
                                    aria-invalid={errors[rule.key] ? 'true' : undefined}
                                    onchange={(event) =>
                                        void change({ rules: { [rule.key]: event.currentTarget.value } })}
                                />
                                {#if errors[rule.key]}<p class="text-stop text-sm">
                                        ✕ {errors[rule.key]}
                                    </p>{/if}
                            </td>
                            <td class="figure num text-quiet" data-label="Usual"
                                >{rule.isOwn ? rule.shipped : '–'}</td
                            >
                            <td class="text-quiet text-sm" data-label="Source"
                                >{rule.source}<span class="figure block">{rule.range}</span></td
                            >
                        </tr>
                        {#if rule.learned}
                            <tr>
                                <td colspan="4">
                                    <span class="text-quiet">Your log:</span>
                                    <span class="figure">{rule.learned.text}</span>
                                    <span class="text-quiet"
                                        >from {rule.learned.cases}
                                        {rule.learned.cases === 1 ? 'entry' : 'entries'}, two thirds of them
                                        at
                                        <span class="figure">{rule.learned.spread}</span>.</span
                                    >
                                    {#if rule.learned.isTaken}
                                        <span>✓ The shop goes by it.</span>
                                    {:else if !rule.learned.isEnough}
                                        <span class="text-quiet">Five are needed to go by it.</span>
                                    {:else if isOwner}
                                        <Button
                                            onclick={() =>
                                                void change({
                                                    rules: { [rule.key]: rule.learned?.text ?? '' },
                                                })}>Go by it</Button
                                        >
                                    {/if}
                                </td>
                            </tr>
                        {/if}
                    {/each}
                {:else}
                    <tr><td colspan="4">No rule goes by this.</td></tr>
                {/each}
            </tbody>
        </table>
    </section>
</main>
