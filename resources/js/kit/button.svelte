<script lang="ts">
    import type { Snippet } from 'svelte';
    import type { HTMLButtonAttributes } from 'svelte/elements';

    type Props = HTMLButtonAttributes & {
        children: Snippet;
        look?: 'main' | 'plain' | 'quiet';
        big?: boolean;
        /** What leads to another page is a link, though it looks like a button. */
        href?: string;
    };
    let { children, look = 'plain', big = false, href, class: extra = '', ...rest }: Props = $props();

    const looks = {
        main: 'bg-action text-on-action border-action hover:brightness-110 disabled:bg-line disabled:text-quiet disabled:border-line',
        plain: 'bg-sheet text-ink border-strong hover:border-ink disabled:text-quiet disabled:border-line',
        quiet: 'border-transparent text-quiet hover:text-ink underline underline-offset-4 decoration-line',
    };

    const style = $derived(
        `font-label rounded-[2px] border font-semibold ${looks[look]} ${
            big ? 'min-h-16 px-6 text-xl' : 'min-h-9 px-3 text-[0.95rem]'
        } ${extra}`,
    );
</script>

{#if href !== undefined}
    <a {href} class="tap inline-flex items-center {style}">{@render children()}</a>
{:else}
    <button type="button" class={style} {...rest}>{@render children()}</button>
{/if}
