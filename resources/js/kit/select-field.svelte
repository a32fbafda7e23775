<script lang="ts" generics="Id extends string">
    type Props = {
        label: string;
        value: Id;
        options: { id: Id; name: string }[];
        error?: string;
        disabled?: boolean;
        onchange: (value: Id) => void;
        class?: string;
    };
    let {
        label,
        value,
        options,
        error = '',
        disabled = false,
        onchange,
        class: extra = '',
    }: Props = $props();
    const id = $props.id();
    const known = $derived(options.some((option) => option.id === value));
</script>

<div class={extra}>
    <label for={id} class="label block">{label}</label>
    <select
        {id}
        {disabled}
        class="bg-sheet w-full rounded-[2px] border px-2 py-1 {error
            ? 'border-stop border-2'
            : 'border-strong'}"
        aria-invalid={error ? 'true' : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        onchange={(event) => onchange(event.currentTarget.value as Id)}
    >
        {#if !known}
            <option {value} selected>{value}</option>
        {/if}
        {#each options as option (option.id)}
            <option value={option.id} selected={option.id === value}>{option.name}</option>
        {/each}
    </select>
    {#if error}
        <p id="{id}-error" class="text-stop mt-0.5 text-sm">✕ {error}</p>
    {/if}
</div>
