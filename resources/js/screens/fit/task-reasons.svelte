<script lang="ts">
    // Why a task has its turn, what goes wrong otherwise, and a way to give it another.
    import Button from '@/kit/button.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { FitReason, FitTask } from '@/lib/answers';

    type Props = { desk: JobDesk; task: FitTask; onchoose: (task: FitTask) => void };
    let { desk, task, onchoose }: Props = $props();

    const tasks = $derived(desk.plan.fit.tasks);
    const place = $derived(tasks.findIndex((one) => one.id === task.id));
    const find = (id: string) => tasks.find((one) => one.id === id);
    const key = $derived(`build.${task.id}`);

    type Told = { firsts: FitTask[]; why: string; otherwise: string; isBroken: boolean };
    /** What is the same of several tasks is said once. */
    function together(reasons: FitReason[], isBroken: boolean): Told[] {
        const all: Told[] = [];
        for (const { first, why, otherwise } of reasons) {
            let one = all.find((told) => told.why === why && told.otherwise === otherwise);
            if (!one) all.push((one = { firsts: [], why, otherwise, isBroken }));
            const other = find(first);
            if (other) one.firsts.push(other);
        }
        return all;
    }
    const told = $derived([...together(task.broken, true), ...together(task.needs, false)]);

    const before = (other: FitTask | undefined) =>
        other && desk.override(key, other.id, task.moved?.why ?? '');
</script>

{#snippet reason({ firsts, why, otherwise, isBroken }: Told)}
    <li class="py-0.5">
        {isBroken ? '✕ not after' : 'after'}
        {#each firsts as other, i (other.id)}
            <button
                type="button"
                class="decoration-line font-label font-semibold underline decoration-dotted underline-offset-4"
                title={other.title}
                onclick={() => onchoose(other)}>{other.order} {firsts.length === 1 ? other.title : ''}</button
            >{i < firsts.length - 1 ? ', ' : ''}
        {/each}
        <span>{why}</span>
        <span class="block {isBroken ? 'text-stop' : 'text-quiet'}">Otherwise: {otherwise}</span>
    </li>
{/snippet}

<div class="space-y-1 px-1 pb-2 pl-[3.9rem] text-[0.92rem]">
    <p>{task.why}</p>
    <ul>
        {#each told as one, i (i)}{@render reason(one)}{/each}
    </ul>
    {#if desk.isDraft}
        <div class="flex flex-wrap items-center gap-2 pt-1">
            <Button disabled={place < 1} onclick={() => before(tasks[place - 1])}>Earlier</Button>
            <Button disabled={place >= tasks.length - 2} onclick={() => before(tasks[place + 2])}
                >Later</Button
            >
            {#if task.moved}
                <Button look="quiet" onclick={() => desk.override(key, '', '')}>Put it back</Button>
                <span class="text-quiet"
                    >You put it before {find(task.moved.before)?.title ?? task.moved.before}.</span
                >
            {:else}
                <span class="text-quiet">or drag it onto another</span>
            {/if}
        </div>
    {/if}
</div>
