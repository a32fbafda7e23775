<script lang="ts">
    import type { Snippet } from 'svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Stage } from '@/lib/answers';
    import { STAGES } from '@/lib/places';

    type Props = { stage: Stage; desk: JobDesk; onstage: (stage: Stage) => void; children: Snippet };
    let { stage, desk, onstage, children }: Props = $props();

    /** On a phone what is done at a stage comes first; the way to the others unfolds. */
    let isUnfolded = $state(false);
    const folds = $derived(isUnfolded ? '' : 'max-sm:hidden');
    $effect(() => {
        void stage;
        isUnfolded = false;
    });
</script>

<div class="flex flex-wrap items-center gap-1">
    <button
        type="button"
        class="font-label bg-sheet border-line flex min-h-(--tap) grow items-center gap-2 rounded-[2px] border px-3 font-semibold capitalize sm:hidden"
        aria-expanded={isUnfolded}
        aria-controls="stages"
        onclick={() => (isUnfolded = !isUnfolded)}
    >
        {#if STAGES.includes(stage)}<span class="figure text-[0.75rem] font-normal opacity-75"
                >{STAGES.indexOf(stage)}</span
            >{/if}{stage}
        <span class="text-quiet ml-auto font-normal normal-case"
            >{isUnfolded ? 'Fold away ▴' : 'Stages and more ▾'}</span
        >
    </button>
    <nav id="stages" aria-label="Stages" class="flex grow flex-wrap gap-1 {folds}">
        {#each STAGES as name, i (name)}
            <a
                href="/jobs/{desk.view.id}/{name}"
                aria-current={name === stage ? 'page' : undefined}
                class="font-label flex min-h-9 items-center gap-2 rounded-[2px] border px-3 font-semibold capitalize {name ===
                stage
                    ? 'bg-ink text-paper border-ink'
                    : 'border-line bg-sheet hover:border-ink'}"
                onclick={(event) => {
                    if (event.metaKey || event.ctrlKey) return;
                    event.preventDefault();
                    onstage(name);
                }}
            >
                <span class="figure text-[0.75rem] font-normal opacity-75">{i}</span>{name}
                {#if name === 'route' && desk.problems > 0}<span class="figure text-[0.8rem]" title="Problems"
                        >✕{desk.problems}</span
                    >{/if}
            </a>
        {/each}
    </nav>
    <div class="flex flex-wrap items-center gap-1 {folds}">{@render children()}</div>
</div>
