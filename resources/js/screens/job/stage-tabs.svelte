<script lang="ts">
    import type { Snippet } from 'svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Stage } from '@/lib/answers';
    import { STAGES } from '@/lib/places';

    type Props = { stage: Stage; desk: JobDesk; onstage: (stage: Stage) => void; children: Snippet };
    let { stage, desk, onstage, children }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-1">
    <nav aria-label="Stages" class="flex grow flex-wrap gap-1">
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
                <span class="figure text-[0.75rem] font-normal opacity-75">{i + 1}</span>{name}
                {#if name === 'route' && desk.problems > 0}<span class="figure text-[0.8rem]" title="Problems"
                        >✕{desk.problems}</span
                    >{/if}
            </a>
        {/each}
    </nav>
    {@render children()}
</div>
