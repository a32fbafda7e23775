<script lang="ts">
    import type { RackJob } from '@/lib/answers';
    import DeleteJob from '@/parts/delete-job.svelte';

    type Props = { job: RackJob; mayDelete: boolean };
    let { job, mayDelete }: Props = $props();
    const share = $derived(job.steps === 0 ? 0 : job.stepsDone / job.steps);
    const said = $derived([job.vehicle, job.customer, job.metal].filter(Boolean).join(' · '));
</script>

<li
    class="grid grid-cols-[6.5rem_1fr_auto] items-center gap-x-4 gap-y-1 px-3 py-2 sm:grid-cols-[6.5rem_1fr_8.5rem_15rem]"
>
    <a
        href="/jobs/{job.id}/{job.next.stage}"
        class="tap figure hover:text-action inline-flex min-w-0 items-center break-all underline decoration-dotted underline-offset-4"
        >{job.number}</a
    >
    <div class="min-w-0">
        <p class="heading truncate">{job.title}</p>
        {#if job.fault}
            <p class="text-stop text-sm">✕ {job.fault}</p>
            {#if mayDelete}<DeleteJob job={job.id} number={job.number} />{/if}
        {:else}
            <p class="text-quiet truncate text-sm">{said}</p>
        {/if}
    </div>
    <div class="max-sm:hidden">
        <p class="figure text-sm">rev {job.revision} {job.status}</p>
        <div
            class="border-strong mt-1 h-2 border"
            role="img"
            aria-label="{job.stepsDone} of {job.steps} steps, {job.jointsDone} of {job.joints} joints done"
        >
            <div class="bg-ink h-full" style:width="{100 * share}%"></div>
        </div>
    </div>
    <a
        href={job.fault ? `/jobs/${job.id}/stored.json` : `/jobs/${job.id}/${job.next.stage}`}
        class="tap font-label border-action text-action hover:bg-wash inline-flex items-center justify-center rounded-[2px] border px-3 py-1.5 text-center font-semibold max-sm:col-span-3"
        >{job.next.text}</a
    >
</li>
