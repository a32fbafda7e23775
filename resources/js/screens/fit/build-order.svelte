<script lang="ts">
    // One order of building for the whole job as a board: by bench set-up, with the reasons of the task that is looked at.
    import { tick } from 'svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { FitTask } from '@/lib/answers';
    import TaskReasons from './task-reasons.svelte';

    type Props = { desk: JobDesk; chosen: string | undefined; onchoose: (task: FitTask) => void };
    let { desk, chosen, onchoose }: Props = $props();

    let setUp = $state('');
    let dragged = $state('');
    const ofRuns = $derived(
        desk.plan.fit.tasks.filter((task) => task.run === 'set' || desk.isShown(task.run)),
    );
    const setUps = $derived([...new Map(ofRuns.map((task) => [task.phase, task.phaseLabel]))]);
    const tasks = $derived(ofRuns.filter((task) => setUp === '' || task.phase === setUp));
    const access = $derived(new Map(desk.plan.fit.access.map((one) => [one.joint, one])));
    const shut = (task: FitTask) => {
        const one = task.kind === 'weld' && task.joint ? access.get(task.joint) : undefined;
        if (!one) return '';
        if (task.phase === 'together' && one.sideFirst.length > 0)
            return one.isReachedInTwo ? '' : one.inTwo.text;
        const fit = task.phase === 'together' ? one.together : one.alone;
        return fit.isWhole ? '' : fit.share.text;
    };
    const mark = (task: FitTask) =>
        ({
            tack: '⌐',
            put: '○',
            trial: '◇',
            full: '⁘',
            weld: '⌇',
            side: '⌇',
            form: '○',
            polish: '✦',
            refit: '◇',
        })[task.kind];
    const opens = (task: FitTask, i: number) => tasks[i - 1]?.phase !== task.phase;
    /** Whose several tasks begin here, where there is more than one it could be. */
    const whose = (task: FitTask, i: number) => {
        const isFirst = opens(task, i) || tasks[i - 1]?.run !== task.run;
        if (!isFirst || task.run === 'set' || tasks[i + 1]?.run !== task.run || several < 2) return '';
        return `${desk.plan.runs.some((run) => run.letter === task.run) ? 'Run' : 'Collector'} ${task.run}`;
    };
    const several = $derived(new Set(desk.plan.fit.tasks.map((task) => task.run)).size);
    const say = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

    let list: HTMLOListElement | undefined = $state();
    // What was chosen elsewhere comes into view here; the page itself stays where it is.
    $effect(() => {
        const id = chosen;
        void tick().then(() => {
            const row = id ? list?.querySelector<HTMLElement>(`[data-task="${CSS.escape(id)}"]`) : null;
            if (!list || !row) return;
            const top = row.offsetTop;
            const low = top + row.offsetHeight;
            if (top < list.scrollTop || low > list.scrollTop + list.clientHeight)
                list.scrollTop = Math.min(top, Math.max(0, low - list.clientHeight));
        });
    });

    function drop(task: FitTask): void {
        if (dragged !== '' && dragged !== task.id) void desk.override(`build.${dragged}`, task.id, '');
        dragged = '';
    }
</script>

<section class="sheet flex min-h-0 min-w-0 flex-col p-3 lg:max-xl:h-[27rem]" aria-label="Order of building">
    <div class="flex flex-wrap items-baseline justify-between gap-2">
        <h2 class="heading">Build in this order</h2>
        <label class="flex items-baseline gap-2">
            <span class="label">Set-up</span>
            <select
                class="border-strong bg-sheet h-[max(1.8rem,var(--tap))] max-w-52 border px-1"
                bind:value={setUp}
            >
                <option value="">all of them</option>
                {#each setUps as [phase, label] (phase)}<option value={phase}>{label}</option>{/each}
            </select>
        </label>
    </div>
    <ol
        bind:this={list}
        class="divide-line relative mt-1 min-h-0 grow divide-y overflow-y-auto max-lg:max-h-[28rem]"
    >
        {#each tasks as task, i (task.id)}
            <li
                class={task.id === chosen ? 'bg-wash' : ''}
                data-task={task.id}
                draggable={desk.isDraft}
                ondragstart={() => (dragged = task.id)}
                ondragover={(event) => event.preventDefault()}
                ondrop={() => drop(task)}
            >
                {#if opens(task, i)}<h3 class="label text-ink px-1 pt-2">{say(task.phaseLabel)}</h3>{/if}
                {#if whose(task, i)}<h4 class="label px-1 pt-1">{whose(task, i)}</h4>{/if}
                <button
                    type="button"
                    class="grid min-h-[var(--tap)] w-full grid-cols-[2rem_1.2rem_1fr_auto] items-baseline gap-1.5 px-1 py-1 text-left"
                    aria-pressed={task.id === chosen}
                    onclick={() => onchoose(task)}
                >
                    <span class="figure text-quiet text-right">{task.order}</span>
                    <span aria-hidden="true">{mark(task)}</span>
                    <span class="font-label text-[1.05rem] font-semibold">{task.title}</span>
                    <span class="text-sm whitespace-nowrap">
                        {#if task.moved}<span class="text-action font-label">yours</span>{/if}
                        {#if task.broken.length > 0}<span class="text-stop">✕ reason broken</span>{/if}
                        {#if shut(task)}<span class="text-stop" title="of the seam a torch gets to"
                                >△ {shut(task)}</span
                            >{/if}
                    </span>
                </button>
                {#if task.id === chosen}<TaskReasons {desk} {task} {onchoose} />{/if}
            </li>
        {/each}
    </ol>
</section>
