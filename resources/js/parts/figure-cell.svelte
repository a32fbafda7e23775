<script lang="ts">
    // A proposed number: press it and it opens its own working, and a way to overrule it.
    import { untrack } from 'svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Figure } from '@/lib/answers';
    import type FigureWorking from './figure-working.svelte';

    type Props = {
        figure: Figure;
        desk: Pick<JobDesk, 'isDraft' | 'why' | 'override'>;
        big?: boolean;
        label?: boolean;
    };
    let { figure: given, desk, big = false, label = false }: Props = $props();

    // While its working closes, a figure may be gone from a sheet already.
    let last: Figure = untrack(() => given);
    const figure = $derived.by(() => (last = (given as Figure | undefined) ?? last));

    let button = $state<HTMLButtonElement>();
    let open = $state(false);
    let Working = $state.raw<typeof FigureWorking | null>(null);
    /** The customer's written procedure that it is so by. */
    const asked = $derived(figure.override?.procedure ?? '');
    const said = $derived(!figure.override ? '' : asked === '' ? ', overruled' : `, as ${asked} asks`);

    // A sheet has hundreds of figures, and one of them is opened at a time.
    async function toggle(): Promise<void> {
        open = !open;
        if (open) Working ??= (await import('./figure-working.svelte')).default;
    }
</script>

<button
    bind:this={button}
    type="button"
    class="{figure.quantity === null
        ? 'font-mono'
        : 'figure'} decoration-line hover:decoration-action rounded-[2px] text-left underline decoration-dotted underline-offset-4 {big
        ? 'text-2xl font-medium'
        : ''}"
    aria-label="{figure.label}: {figure.text}{said}. Show the working."
    aria-haspopup="dialog"
    aria-expanded={open}
    onclick={toggle}
>
    {#if label}<span class="label mr-2 no-underline">{figure.label}</span
        >{/if}{figure.text}{#if figure.override}<span class="font-label text-action ml-1 text-[0.75em]"
            >{asked === '' ? 'yours' : 'WPS'}</span
        >{/if}
</button>
{#if open && Working && button}
    <Working {figure} {desk} beside={button} onclose={() => (open = false)} />
{/if}
