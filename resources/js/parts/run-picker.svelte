<script lang="ts">
    // Runs picked by pressing them, in the order they were pressed; pressing one again takes it out.
    type Props = {
        label: string;
        /** Letters that can be picked, and those that are, in their order. */
        letters: string[];
        picked: string[];
        error?: string;
        disabled?: boolean;
        onchange: (picked: string[]) => void;
    };
    let { label, letters, picked, error = '', disabled = false, onchange }: Props = $props();

    function press(letter: string): void {
        onchange(picked.includes(letter) ? picked.filter((one) => one !== letter) : [...picked, letter]);
    }
</script>

<fieldset {disabled}>
    <legend class="label">{label}</legend>
    <div class="flex flex-wrap gap-1">
        {#each letters as letter (letter)}
            {@const place = picked.indexOf(letter)}
            <button
                type="button"
                class="font-label tap min-w-[var(--tap)] rounded-[2px] border px-2 {place >= 0
                    ? 'bg-wash border-action border-2 font-semibold'
                    : 'bg-sheet border-strong'}"
                aria-pressed={place >= 0}
                data-refused={error && letter === (picked.at(-1) ?? letters[0]) ? true : undefined}
                aria-label="Run {letter}{place >= 0 ? `, place ${place + 1}` : ''}"
                onclick={() => press(letter)}
                >{letter}{#if place >= 0}<sub class="figure text-quiet ml-1">{place + 1}</sub>{/if}</button
            >
        {/each}
    </div>
    {#if error}<p class="text-stop text-sm">✕ {error}</p>{/if}
</fieldset>
