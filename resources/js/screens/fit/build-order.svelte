<script lang="ts">
    // One order of building for the whole job; one run alone keeps its numbers in it.
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { FitStep } from '@/lib/answers';

    type Props = { desk: JobDesk; chosen: string | undefined };
    let { desk, chosen }: Props = $props();

    const steps = $derived(desk.plan.fit.steps.filter((step) => desk.isShown(step.run)));
    const several = $derived(desk.plan.runs.length > 1);
    const opens = (step: FitStep, i: number) => several && steps[i - 1]?.run !== step.run;
</script>

<section class="sheet min-w-0 self-start p-3" aria-label="Order of building">
    <h2 class="heading">Build in this order</h2>
    <ol class="divide-line mt-1 divide-y">
        {#each steps as step, i (step.joint)}
            <li class={step.joint === chosen ? 'bg-wash' : ''}>
                {#if opens(step, i)}<h3 class="label pt-2">Run {step.run}</h3>{/if}
                <button
                    type="button"
                    class="grid w-full grid-cols-[2.2rem_3.4rem_1fr] gap-2 py-2 text-left"
                    aria-pressed={step.joint === chosen}
                    onclick={() => desk.look({ kind: 'joint', id: step.joint })}
                >
                    <span class="figure text-2xl leading-tight font-medium">{step.order}</span>
                    <span class="figure pt-1">{step.joint}</span>
                    <span class="min-w-0"
                        ><span class="font-label text-lg font-semibold">{step.brings} to {step.to}</span><span
                            class="text-quiet block">{step.why}</span
                        ></span
                    >
                </button>
            </li>
        {/each}
    </ol>
    {#if desk.plan.runs.length > 0}
        <div class="border-line mt-2 border-t pt-2">
            <h3 class="heading">
                {several ? 'All together before any is finished' : 'Trial fit before the full tacks'}
            </h3>
            <ul class="text-quiet list-inside">
                {#each desk.plan.fit.trialFit.slice(0, -1) as line (line)}<li>{line}</li>{/each}
            </ul>
            <p class="mt-1 text-sm">△ {desk.plan.fit.trialFit.at(-1)}</p>
        </div>
    {/if}
</section>
