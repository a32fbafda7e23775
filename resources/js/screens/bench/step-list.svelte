<script lang="ts">
    // All steps: those of one joint, or of what is cut and tacked together, under one line that folds.
    import { SvelteSet } from 'svelte/reactivity';
    import type { Step } from '@/lib/answers';
    import { groupsOf } from './next-step';

    type Props = { steps: Step[]; done: Set<string>; current: string | null; onpick: (id: string) => void };
    let { steps, done, current, onpick }: Props = $props();

    const groups = $derived(groupsOf(steps));
    /** Folded or unfolded by hand; else what is under way is open. */
    const turned = new SvelteSet<string>();
    const isOpen = (name: string, some: Step[]) =>
        some.some((step) => step.id === current) !== turned.has(name);

    let list: HTMLOListElement | undefined = $state();
    $effect(() => {
        if (!list || !current) return;
        const line = list.querySelector<HTMLElement>(`[data-step="${CSS.escape(current)}"]`);
        if (line) list.scrollTop = line.offsetTop - list.clientHeight / 3;
    });

    function turn(name: string): void {
        if (!turned.delete(name)) turned.add(name);
    }
</script>

<nav class="sheet overflow-hidden max-lg:hidden" aria-label="All steps">
    <ol bind:this={list} class="divide-line relative max-h-[calc(100vh-8.5rem)] divide-y overflow-auto">
        {#each groups as [name, some] (name)}
            {@const finished = some.filter((step) => done.has(step.id)).length}
            {@const open = isOpen(name, some)}
            <li>
                <button
                    type="button"
                    class="font-label flex min-h-15 w-full items-center justify-between gap-2 px-2 text-left text-[1.05rem]"
                    aria-expanded={open}
                    onclick={() => turn(name)}
                >
                    <span><span class="figure mr-1.5" aria-hidden="true">{open ? '▾' : '▸'}</span>{name}</span
                    >
                    <span class="figure text-quiet text-sm"
                        >{finished === some.length ? '✓' : `${finished}/${some.length}`}</span
                    >
                </button>
                {#if open}
                    <ol class="divide-line border-line divide-y border-t">
                        {#each some as step (step.id)}
                            <li data-step={step.id}>
                                <button
                                    type="button"
                                    class="grid min-h-12 w-full grid-cols-[1.4rem_1fr] items-center gap-1 py-1.5 pr-2 pl-4 text-left {step.id ===
                                    current
                                        ? 'bg-wash font-medium'
                                        : ''}"
                                    aria-current={step.id === current ? 'step' : undefined}
                                    onclick={() => onpick(step.id)}
                                >
                                    <span class="figure" aria-hidden="true"
                                        >{done.has(step.id) ? '✓' : step.id === current ? '▸' : '·'}</span
                                    >
                                    <span class={done.has(step.id) ? 'text-quiet' : ''}
                                        >{step.title}<span class="sr-only"
                                            >{done.has(step.id) ? ', done' : ''}</span
                                        ></span
                                    >
                                </button>
                            </li>
                        {/each}
                    </ol>
                {/if}
            </li>
        {/each}
    </ol>
</nav>
