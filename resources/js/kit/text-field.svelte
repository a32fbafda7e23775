<script lang="ts">
    import type { HTMLInputAttributes } from 'svelte/elements';

    type Props = Omit<HTMLInputAttributes, 'value' | 'onchange'> & {
        label: string;
        value: string | number;
        error?: string;
        hideLabel?: boolean;
        mono?: boolean;
        onchange?: (value: string) => void;
    };
    let {
        label,
        value,
        error = '',
        hideLabel = false,
        mono = false,
        onchange,
        class: extra = '',
        ...rest
    }: Props = $props();
    const id = $props.id();
</script>

<div class={extra}>
    <label for={id} class={hideLabel ? 'sr-only' : 'label block'}>{label}</label>
    <input
        {id}
        {value}
        class="bg-sheet min-h-8 w-full rounded-[2px] border px-2 py-1 {mono
            ? 'figure px-1.5 text-right text-[0.9rem]'
            : ''} {error ? 'border-stop border-2' : 'border-strong'} disabled:border-line disabled:text-quiet"
        aria-invalid={error ? 'true' : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        onchange={(event) => onchange?.(event.currentTarget.value)}
        {...rest}
    />
    {#if error}
        <p id="{id}-error" class="text-stop mt-0.5 text-sm">✕ {error}</p>
    {/if}
</div>
