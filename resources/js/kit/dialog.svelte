<script lang="ts">
    import { Dialog } from 'bits-ui';
    import type { Snippet } from 'svelte';

    type Props = { open: boolean; title: string; text?: string; children: Snippet; wide?: boolean | 'all' };
    let { open = $bindable(), title, text = '', children, wide = false }: Props = $props();
</script>

<Dialog.Root bind:open>
    <Dialog.Portal>
        <Dialog.Overlay class="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
            class="sheet fixed top-1/2 left-1/2 z-50 max-h-[88vh] -translate-x-1/2 -translate-y-1/2 overflow-auto p-5 {wide ===
            'all'
                ? 'w-[96vw]'
                : wide
                  ? 'w-[min(56rem,94vw)]'
                  : 'w-[min(34rem,94vw)]'}"
        >
            <Dialog.Title class="heading">{title}</Dialog.Title>
            {#if text}
                <Dialog.Description class="text-quiet mt-1">{text}</Dialog.Description>
            {/if}
            <div class="mt-4">{@render children()}</div>
        </Dialog.Content>
    </Dialog.Portal>
</Dialog.Root>
