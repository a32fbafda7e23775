<script lang="ts">
    // A proposed number: press it and it opens its own working, and a way to overrule it.
    import { Popover } from 'bits-ui';
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Figure, Reason } from '@/lib/answers';

    /** Where its working is asked for, and where it is overruled. */
    type Desk = Pick<JobDesk, 'isDraft' | 'why' | 'override'>;
    type Props = { figure: Figure; desk: Desk; big?: boolean; label?: boolean };
    let { figure: given, desk, big = false, label = false }: Props = $props();

    // While its working closes, a figure may be gone from a sheet already.
    let last: Figure = untrack(() => given);
    const figure = $derived.by(() => (last = (given as Figure | undefined) ?? last));

    let open = $state(false);
    let value = $state('');
    let why = $state('');
    let working = $state.raw<Reason | null>(null);
    let failure = $state('');
    /** In sentences to choose from, not in a word or a number. */
    const isLong = $derived((figure.options ?? []).some((one) => one.value.length > 16));
    const mayOverrule = $derived(desk.isDraft);
    /** The customer's written procedure that it is so by. */
    const asked = $derived(figure.override?.procedure ?? '');
    const said = $derived(!figure.override ? '' : asked === '' ? ', overruled' : `, as ${asked} asks`);

    async function show(isOpen: boolean): Promise<void> {
        open = isOpen;
        value = asked === '' ? (figure.override?.value ?? '') : '';
        why = figure.override?.why ?? '';
        if (!isOpen) return;
        const key = figure.key;
        const answer = figure.reason ?? (await desk.why(key));
        if (key !== figure.key) return;
        failure = typeof answer === 'string' ? answer : '';
        working = typeof answer === 'string' ? null : answer;
    }

    async function overrule(next: string): Promise<void> {
        await desk.override(figure.key, next, why);
        open = false;
    }
</script>

<Popover.Root {open} onOpenChange={show}>
    <Popover.Trigger
        class="{figure.quantity === null
            ? 'font-mono'
            : 'figure'} decoration-line hover:decoration-action rounded-[2px] text-left underline decoration-dotted underline-offset-4 {big
            ? 'text-2xl font-medium'
            : ''}"
        aria-label="{figure.label}: {figure.text}{said}. Show the working."
    >
        {#if label}<span class="label mr-2 no-underline">{figure.label}</span
            >{/if}{figure.text}{#if figure.override}<span class="font-label text-action ml-1 text-[0.75em]"
                >{asked === '' ? 'yours' : 'WPS'}</span
            >{/if}
    </Popover.Trigger>
    <Popover.Portal>
        <Popover.Content
            role="dialog"
            aria-label="Working of {figure.label}"
            class="sheet z-50 w-[23rem] max-w-[94vw] p-4 text-[0.95rem] shadow-lg"
            sideOffset={6}
            collisionPadding={8}
        >
            <p class="heading">
                {figure.label}: <span class="figure {isLong ? 'whitespace-normal' : ''}">{figure.text}</span>
                {#if figure.exact}<span class="text-quiet text-sm"
                        >exactly <span class="figure">{figure.exact}</span></span
                    >{/if}
            </p>
            {#if figure.override}
                <p class="mt-1">
                    {asked === '' ? 'Overruled' : `As ${asked} asks`}; proposed was
                    <span class="figure">{figure.proposed}</span>.{figure.override.why
                        ? ` “${figure.override.why}”`
                        : ''}
                </p>
            {/if}
            {#if working}
                <p class="mt-2">{working.rule}</p>
                {#if working.inputs.length > 0}
                    <dl class="border-line mt-2 border-t">
                        {#each working.inputs as input, i (i)}
                            <div class="border-line flex justify-between gap-3 border-b py-0.5">
                                <dt class="text-quiet">{input.label}</dt>
                                <dd class="figure">{input.text}</dd>
                            </div>
                        {/each}
                    </dl>
                {/if}
                <p class="text-quiet mt-2 text-sm">Source: {working.source}.</p>
                {#if working.changes}
                    <p class="text-quiet text-sm">What changes it: {working.changes}</p>
                {/if}
            {:else}
                <p class="text-quiet mt-2">{failure === '' ? 'Working it out…' : `✕ ${failure}`}</p>
            {/if}
            {#each (figure.options ?? []).filter((one) => one.refused !== '') as one (one.value)}
                <p class="mt-1 text-sm">Not {one.value.toLowerCase()}: {one.refused}</p>
            {/each}
            {#if mayOverrule}
                <form
                    class="border-line mt-3 grid gap-2 border-t pt-3 {isLong ? '' : 'grid-cols-[7rem_1fr]'}"
                    onsubmit={(event) => {
                        event.preventDefault();
                        void overrule(value);
                    }}
                >
                    {#if figure.options}
                        <SelectField
                            label="Your choice"
                            {value}
                            options={[
                                ...(value === '' ? [{ id: '', name: 'choose' }] : []),
                                ...figure.options
                                    .filter((one) => one.refused === '')
                                    .map((one) => ({ id: one.value, name: one.value })),
                            ]}
                            onchange={(next) => (value = next)}
                        />
                    {:else}
                        <TextField
                            label="Your value"
                            {value}
                            mono
                            oninput={(event) => (value = event.currentTarget.value)}
                        />
                    {/if}
                    <TextField
                        label="Why"
                        value={why}
                        oninput={(event) => (why = event.currentTarget.value)}
                    />
                    <div class="flex gap-2 {isLong ? '' : 'col-span-2'}">
                        <Button look="main" type="submit">Overrule</Button>
                        {#if figure.override && asked === ''}
                            <Button onclick={() => overrule('')}>Take the proposal back</Button>
                        {/if}
                    </div>
                </form>
            {/if}
        </Popover.Content>
    </Popover.Portal>
</Popover.Root>
