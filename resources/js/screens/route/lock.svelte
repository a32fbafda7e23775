<script lang="ts">
    type Props = { label: string; isOn: boolean; disabled: boolean; onclick: () => void };
    let { label, isOn, disabled, onclick }: Props = $props();
</script>

<button
    type="button"
    class="mt-0.5 h-[26px] w-[24px] shrink-0 rounded-[2px] {isOn
        ? 'bg-action text-on-action'
        : 'text-strong hover:text-ink'}"
    aria-label="Lock {label}"
    aria-pressed={isOn}
    title={isOn ? 'Locked: closing the far end leaves it alone' : 'Free: press to lock'}
    {disabled}
    {onclick}
>
    <svg viewBox="0 0 20 24" class="mx-auto h-4 w-4" aria-hidden="true">
        <path
            d={isOn ? 'M6 11 V7 a4 4 0 0 1 8 0 V11' : 'M6 11 V6 a4 4 0 0 1 7.5 -2'}
            fill="none"
            stroke="currentColor"
            stroke-width="2"
        />
        <rect x="4" y="11" width="12" height="9" fill="currentColor" />
    </svg>
</button>
