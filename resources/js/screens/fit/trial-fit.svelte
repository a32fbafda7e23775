<script lang="ts">
    // What is looked at while it stands there: for this job, not for any.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { FitTask } from '@/lib/answers';

    type Props = { desk: JobDesk; task: FitTask };
    let { desk, task }: Props = $props();

    const lines = $derived(
        desk.plan.fit.trial.filter(
            (line) => task.run === 'set' || line.runs.length === 0 || line.runs.includes(task.run),
        ),
    );
</script>

<section class="sheet p-3" aria-label={task.title}>
    <h2 class="heading">{task.title}</h2>
    <p class="text-quiet">{task.why}</p>
    {#if task.kind === 'trial'}
        <ul class="divide-line mt-2 divide-y">
            {#each lines as line, i (i)}<li class="py-1">□ {line.text}</li>{/each}
        </ul>
        <p class="mt-2 text-sm">△ {desk.plan.fit.trialCaution}</p>
    {/if}
</section>
