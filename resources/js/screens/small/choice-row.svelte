<script lang="ts">
    import type { SmallChoice } from '@/lib/answers';

    type Props = {
        label: string;
        value: string;
        choices: SmallChoice[];
        error: string | undefined;
        /** Whether anything else may be typed. */
        free?: boolean;
        onchange: (value: string) => void;
    };
    let { label, value, choices, error, free = false, onchange }: Props = $props();

    const MOST = 8;
    /** What is asked for most, and what was chosen, each a tap away. */
    const near = $derived.by(() => {
        const usual = choices.filter((one) => one.usual).slice(0, MOST);
        const chosen = choices.find((one) => one.id === value);
        return chosen && !usual.includes(chosen) ? [...usual, chosen] : usual;
    });
    const typed = $derived(choices.some((one) => one.id === value) ? '' : value);
    const field = 'font-label bg-sheet border-strong min-h-15 rounded-[2px] border px-3 text-lg';
</script>

<fieldset>
    <legend class="label">{label}</legend>
    <div class="mt-1 flex flex-wrap gap-2">
        {#each near as one (one.id)}
            <button
                type="button"
                aria-pressed={one.id === value}
                class="font-label min-h-15 rounded-[2px] border px-4 text-lg leading-tight {one.id === value
                    ? 'bg-wash border-action border-2 font-semibold'
                    : 'bg-sheet border-strong'}"
                onclick={() => onchange(one.id)}>{one.name}</button
            >
        {/each}
        {#if choices.length > near.length}
            <select
                class="{field} max-w-36"
                aria-label="{label}, another"
                onchange={(event) => onchange(event.currentTarget.value)}
            >
                <option {value} selected>Another …</option>
                {#each choices.filter((one) => !near.includes(one)) as one (one.id)}
                    <option value={one.id}>{one.name}</option>
                {/each}
            </select>
        {/if}
        {#if free}
            <input
                class="{field} w-32 {typed ? 'bg-wash border-action border-2 font-semibold' : ''} {error
                    ? 'border-stop border-2'
                    : ''}"
                aria-label="{label}, as measured"
                aria-invalid={error ? 'true' : undefined}
                placeholder="measured"
                value={typed}
                onchange={(event) => event.currentTarget.value.trim() && onchange(event.currentTarget.value)}
            />
        {/if}
    </div>
    {#if error}<p class="text-stop mt-0.5 text-sm">✕ {error}</p>{/if}
</fieldset>
