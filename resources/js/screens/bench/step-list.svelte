<script lang="ts">
    import type { Step } from '@/lib/answers';

    type Props = { steps: Step[]; done: Set<string>; current: string | null; onpick: (id: string) => void };
    let { steps, done, current, onpick }: Props = $props();

    let list: HTMLOListElement | undefined = $state();
    $effect(() => {
        if (!list || !current) return;
        const line = list.querySelector<HTMLElement>(`[data-step="${CSS.escape(current)}"]`);
        if (line) list.scrollTop = line.offsetTop - list.clientHeight / 3;
    });
</script>

<nav class="sheet overflow-hidden max-lg:hidden" aria-label="All steps">
    <ol bind:this={list} class="divide-line relative max-h-[calc(100vh-8.5rem)] divide-y overflow-auto">
        {#each steps as step (step.id)}
            <li data-step={step.id}>
                <button
                    type="button"
                    class="grid w-full grid-cols-[1.4rem_1fr] gap-1 px-2 py-1.5 text-left {step.id === current
                        ? 'bg-wash font-medium'
                        : ''}"
                    aria-current={step.id === current ? 'step' : undefined}
                    onclick={() => onpick(step.id)}
                >
                    <span class="figure" aria-hidden="true"
                        >{done.has(step.id) ? '✓' : step.id === current ? '▸' : '·'}</span
                    >
                    <span class={done.has(step.id) ? 'text-quiet' : ''}
                        >{step.title}<span class="sr-only">{done.has(step.id) ? ', done' : ''}</span></span
                    >
                </button>
            </li>
        {/each}
    </ol>
</nav>
