<script lang="ts">
    // A joint as it was found: its colour outside and in, what is wrong with it, and what is done about it.
    import type { Inspected, Looks, Step } from '@/lib/answers';
    import { leastOf } from './gate';
    import { OXIDE_TINTS } from './oxide-tints';

    type Props = { step: Step; looks: Looks; found: NonNullable<Inspected>; onchange: () => void };
    let { step, looks, found = $bindable(), onchange }: Props = $props();

    const SIDES = [
        { key: 'outside', label: 'Outside' },
        { key: 'inside', label: 'Inside' },
    ] as const;

    const least = $derived(leastOf(step, looks, found));

    function set(change: Partial<NonNullable<Inspected>>): void {
        const next = { ...found, ...change };
        // What has to be done follows from what was found, until somebody says otherwise.
        const isAsProposed = found.outcome === least;
        found = isAsProposed ? { ...next, outcome: leastOf(step, looks, next) } : next;
        onchange();
    }

    function turn(flaw: string): void {
        const flaws = found.flaws.includes(flaw)
            ? found.flaws.filter((one) => one !== flaw)
            : [...found.flaws, flaw];
        set({ flaws });
    }
</script>

<div class="space-y-4">
    {#each SIDES as side (side.key)}
        <fieldset>
            <legend class="label text-base"
                >{side.label}:
                <span class="text-ink font-medium"
                    >{looks.oxides.find((one) => one.key === found[side.key])?.label ??
                        (found[side.key] === '' ? 'choose it' : 'cannot be seen')}</span
                ></legend
            >
            <div class="grid grid-cols-[repeat(auto-fit,minmax(3.6rem,1fr))]">
                {#each looks.oxides as oxide (oxide.key)}
                    <button
                        type="button"
                        class="flex min-h-15 flex-col border-2 {found[side.key] === oxide.key
                            ? 'border-ink outline-ink outline-2'
                            : 'border-line'}"
                        aria-pressed={found[side.key] === oxide.key}
                        aria-label="{side.label} {oxide.label}"
                        onclick={() => set({ [side.key]: oxide.key })}
                        ><span
                            class="border-strong min-h-9 w-full grow border-b"
                            style:background={OXIDE_TINTS[oxide.key]}
                        ></span><span
                            class="font-label w-full py-0.5 text-center text-[0.85rem] leading-tight"
                            >{oxide.label}</span
                        ></button
                    >
                {/each}
                {#if side.key === 'inside'}
                    <button
                        type="button"
                        class="font-label min-h-15 border-2 text-base leading-tight {found.inside === null
                            ? 'border-ink'
                            : 'border-line'}"
                        aria-pressed={found.inside === null}
                        onclick={() => set({ inside: null })}>not seen</button
                    >
                {/if}
            </div>
        </fieldset>
    {/each}
    <fieldset>
        <legend class="label text-base">What is wrong</legend>
        <div class="grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] gap-2">
            {#each looks.flaws as flaw (flaw.key)}
                {@const isOn = found.flaws.includes(flaw.key)}
                <button
                    type="button"
                    class="font-label min-h-15 border px-2 text-lg {isOn
                        ? 'border-stop text-stop border-2 font-semibold'
                        : 'border-strong'}"
                    aria-pressed={isOn}
                    onclick={() => turn(flaw.key)}>{isOn ? '✕ ' : ''}{flaw.label}</button
                >
            {/each}
        </div>
    </fieldset>
    <fieldset>
        <legend class="label text-base">What is done about it</legend>
        <div class="grid grid-cols-2 gap-2 sm:grid-cols-4">
            {#each looks.outcomes as outcome (outcome.key)}
                <button
                    type="button"
                    class="font-label min-h-16 border px-2 text-xl {found.outcome === outcome.key
                        ? 'bg-action text-on-action border-action font-semibold'
                        : 'border-strong'}"
                    aria-pressed={found.outcome === outcome.key}
                    onclick={() => set({ outcome: outcome.key as NonNullable<Inspected>['outcome'] })}
                    >{outcome.label}</button
                >
            {/each}
        </div>
        {#if found.outcome === least}
            <p class="text-quiet mt-1">
                {least === 'accept' ? 'Nothing found asks for more.' : 'What was found asks for it.'}
            </p>
        {/if}
    </fieldset>
    {#if found.outcome !== 'accept'}
        <fieldset>
            <legend class="label text-base">The cause</legend>
            <div class="grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] gap-2">
                {#each looks.causes as cause (cause.key)}
                    <button
                        type="button"
                        class="font-label min-h-15 border px-2 text-lg {found.cause === cause.key
                            ? 'border-action text-action border-2 font-semibold'
                            : 'border-strong'}"
                        aria-pressed={found.cause === cause.key}
                        onclick={() => set({ cause: cause.key })}>{cause.label}</button
                    >
                {/each}
            </div>
        </fieldset>
    {/if}
</div>
