<script lang="ts">
    // The working of a figure beside it, and a way to overrule it. Loaded when the first one is opened.
    import { Popover } from 'bits-ui';
    import { onMount, untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Figure, Reason } from '@/lib/answers';

    /** Where its working is asked for, and where it is overruled. */
    type Desk = Pick<JobDesk, 'isDraft' | 'why' | 'override'>;
    type Props = { figure: Figure; desk: Desk; beside: HTMLElement; onclose: () => void };
    let { figure, desk, beside, onclose }: Props = $props();

    /** The customer's written procedure that it is so by. */
    const asked = $derived(figure.override?.procedure ?? '');
    /** In sentences to choose from, not in a word or a number. */
    const isLong = $derived((figure.options ?? []).some((one) => one.value.length > 16));
    let value = $state(untrack(() => (asked === '' ? (figure.override?.value ?? '') : '')));
    let why = $state(untrack(() => figure.override?.why ?? ''));
    let working = $state.raw<Reason | null>(null);
    let failure = $state('');
    /** Only once the working stands above it: what is pressed must not move away under the finger. */
    const mayOverrule = $derived(desk.isDraft && (working !== null || failure !== ''));

    onMount(async () => {
        const key = figure.key;
        const answer = figure.reason ?? (await desk.why(key));
        if (key !== figure.key) return;
        failure = typeof answer === 'string' ? answer : '';
        working = typeof answer === 'string' ? null : answer;
    });

    async function overrule(next: string): Promise<void> {
        await desk.override(figure.key, next, why);
        onclose();
    }
</script>

<Popover.Root open onOpenChange={(isOpen) => isOpen || onclose()}>
    <Popover.Portal>
        <Popover.Content
            customAnchor={beside}
            role="dialog"
            aria-label="Working of {figure.label}"
            class="sheet z-50 w-[23rem] max-w-[94vw] p-4 text-[0.95rem] shadow-lg"
            sideOffset={6}
            collisionPadding={8}
            onCloseAutoFocus={(event) => {
                event.preventDefault();
                beside.focus();
            }}
            onInteractOutside={(event) => {
                // The figure itself closes it by its own press.
                if (event.target instanceof Node && beside.contains(event.target)) event.preventDefault();
            }}
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
