<script lang="ts">
    // Everything that runs or cools just now, whatever step is looked at; a press leads there.
    import { untrack } from 'svelte';
    import { sound } from './alarm';

    export type Timer = { id: string; step: string; says: string; text: string; isOver: boolean };

    type Props = { timers: Timer[]; onpick: (step: string) => void };
    let { timers, onpick }: Props = $props();

    const over = $derived(timers.filter((one) => one.isOver).map((one) => one.id));
    let told: string[] = untrack(() => over);
    $effect(() => {
        if (over.some((id) => !told.includes(id))) sound();
        told = over;
    });
</script>

{#if timers.length > 0}
    <ul class="flex flex-wrap gap-2" aria-label="Running">
        {#each timers as one (one.id)}
            <li>
                <button
                    type="button"
                    class="font-label flex min-h-15 items-baseline gap-2 border px-3 pt-3 text-lg {one.isOver
                        ? 'bg-action text-on-action border-action font-semibold'
                        : 'border-strong bg-sheet'}"
                    onclick={() => onpick(one.step)}
                    >{one.isOver ? '● ' : ''}{one.says} <span class="figure">{one.text}</span></button
                >
            </li>
        {/each}
    </ul>
{/if}
