<script lang="ts">
    // A choice out of many: what is usual stands first, and typing finds the rest.
    import { Combobox } from 'bits-ui';
    import { matching, type ChoiceGroup } from './search-field';

    type Props = {
        label: string;
        value: string;
        groups: ChoiceGroup[];
        error?: string;
        disabled?: boolean;
        onchange: (value: string) => void;
        class?: string;
    };
    let { label, value, groups, error = '', disabled = false, onchange, class: extra = '' }: Props = $props();

    const id = $props.id();
    let sought = $state('');
    const all = $derived(groups.flatMap((group) => group.choices));
    const name = $derived(all.find((one) => one.id === value)?.name ?? value);
    const shown = $derived(matching(groups, sought));
    let open = $state(false);
</script>

<div class={extra}>
    <label for={id} class="label block">{label}</label>
    <Combobox.Root
        type="single"
        bind:open
        {value}
        {disabled}
        items={all.map((one) => ({ value: one.id, label: one.name }))}
        allowDeselect={false}
        onOpenChange={(isOpen) => !isOpen && (sought = '')}
        onValueChange={(next) => next && next !== value && onchange(next)}
    >
        <div class="relative">
            <Combobox.Input
                {id}
                class="bg-sheet w-full rounded-[2px] border py-1 pr-8 pl-2 {error
                    ? 'border-stop border-2'
                    : 'border-strong'} disabled:border-line disabled:text-quiet"
                placeholder={name}
                aria-invalid={error ? 'true' : undefined}
                aria-describedby={error ? `${id}-error` : undefined}
                onclick={() => (open = true)}
                oninput={(event) => {
                    sought = event.currentTarget.value;
                    open = true;
                }}
            >
                {#snippet child({ props })}
                    <!-- While it is open, what is sought; then the name of what was chosen again. -->
                    <input {...props} value={open ? sought : name} />
                {/snippet}
            </Combobox.Input>
            <Combobox.Trigger
                class="text-quiet absolute inset-y-0 right-0 grid place-items-center px-2"
                aria-label="Show all of {label}">▾</Combobox.Trigger
            >
        </div>
        <Combobox.Portal>
            <Combobox.Content
                class="sheet z-50 max-h-80 w-(--bits-combobox-anchor-width) min-w-72 overflow-y-auto py-1 shadow-lg"
                sideOffset={4}
            >
                {#each shown as group (group.name)}
                    <Combobox.Group>
                        <Combobox.GroupHeading class="label px-3 pt-2">{group.name}</Combobox.GroupHeading>
                        {#each group.choices as one (one.id)}
                            <Combobox.Item
                                value={one.id}
                                label={one.name}
                                class="data-highlighted:bg-wash flex min-h-(--tap) cursor-pointer items-center justify-between gap-3 px-3 py-1"
                            >
                                <span>{one.name}</span>
                                <span class="text-quiet text-sm">{one.note}</span>
                            </Combobox.Item>
                        {/each}
                    </Combobox.Group>
                {:else}
                    <p class="text-quiet px-3 py-2">Nothing of that name.</p>
                {/each}
            </Combobox.Content>
        </Combobox.Portal>
    </Combobox.Root>
    {#if error}
        <p id="{id}-error" class="text-stop mt-0.5 text-sm">✕ {error}</p>
    {/if}
</div>
