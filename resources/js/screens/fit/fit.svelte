<script lang="ts">
    // The order of building, the assembly as it stands at each task, and the joint that is fitted there.
    import InsertionOrder from '@/parts/insertion-order.svelte';
    import MemberStrip from '@/parts/member-strip.svelte';
    import Viewport from '@/parts/viewport/viewport.svelte';
    import { OrderOfRuns } from '@/lib/order-of-runs.svelte';
    import type { FitTask } from '@/lib/answers';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import AsBuilt from './as-built.svelte';
    import BuildOrder from './build-order.svelte';
    import ClosingPiece from './closing-piece.svelte';
    import Growth from './growth.svelte';
    import JointDetail from './joint-detail.svelte';
    import Measured from './measured.svelte';
    import TrialFit from './trial-fit.svelte';

    let { desk, onstage }: StageProps = $props();

    let picked = $state('');
    /** Of which joint tacks are wanted that pull it to its place, and where. */
    let pulled = $state.raw<[string, number[]]>(['', []]);
    const order = new OrderOfRuns();
    const fit = $derived(desk.plan.fit);
    const tasks = $derived(fit.tasks.filter((task) => task.run === 'set' || desk.isShown(task.run)));
    // What is looked at: the task that was pressed; where a joint was chosen elsewhere, the first task of it.
    const ofJoint = $derived(
        desk.selection?.kind === 'joint' ? tasks.filter((task) => task.joint === desk.selection?.id) : [],
    );
    const pressed = $derived(tasks.find((task) => task.id === picked));
    const task = $derived(
        (ofJoint.length > 0 ? (ofJoint.find((one) => one.id === picked) ?? ofJoint[0]) : pressed) ??
            tasks.find((one) => one.kind === 'tack') ??
            tasks[0],
    );
    const joints = $derived(desk.shown.flatMap((run) => run.joints));
    const joint = $derived(joints.find((one) => one.id === task?.joint));
    const member = $derived(
        joint
            ? desk.memberOf(joint.id)
            : (desk.shown.find((one) => one.letter === task?.run) ?? desk.shown[0]),
    );
    const sheet = $derived(desk.plan.weld.sheets.find((one) => one.joint === joint?.id));
    const access = $derived(fit.access.find((one) => one.joint === joint?.id));
    const pulling = $derived(pulled[0] === joint?.id ? pulled[1] : []);
    const where = $derived(
        task?.kind === 'side'
            ? 'inTurn'
            : task?.phase === 'together'
              ? 'together'
              : task?.phase === 'trial'
                ? 'inPlace'
                : 'alone',
    );
    const numbers = $derived(new Map(fit.tasks.map((one) => [one.id, one.order])));
    const seam = $derived(access && joint ? { joint: joint.id, reached: access[where].arcs } : null);

    function choose(one: FitTask): void {
        picked = one.id;
        desk.selection = one.joint ? { kind: 'joint', id: one.joint } : null;
    }

    // Reach, and the order in which runs go in, take longer than a plan.
    $effect(() => (fit.reached && fit.ordered ? undefined : order.ask(desk, 100)));
</script>

{#if member && task}
    <MemberStrip
        {member}
        selection={joint ? { kind: 'joint', id: joint.id } : null}
        onselect={(selection) => (desk.selection = selection)}
        jointFact={(one) => {
            const at = numbers.get(`tack.${one.id}`) ?? numbers.get(`weld.${one.id}`);
            return at ? `· ${at}` : '';
        }}
    />
    <div
        class="grid min-h-0 grid-cols-[minmax(0,1fr)] gap-2 xl:h-[max(34rem,calc(100vh-16.4rem))] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] xl:grid-cols-[minmax(0,25rem)_minmax(0,1fr)_22rem]"
    >
        <BuildOrder {desk} chosen={task.id} onchoose={choose} />
        <div class="flex min-h-0 min-w-0 flex-col gap-2 lg:max-xl:h-[27rem]">
            <section class="sheet flex min-h-[20rem] grow flex-col" aria-label="As it stands">
                <p
                    class="border-line flex flex-wrap items-baseline justify-between gap-x-3 border-b px-3 py-1.5"
                >
                    <span class="heading">As it stands after {task.order}</span>
                    <span class="text-quiet text-sm">{task.title}</span>
                </p>
                <Viewport {desk} standing={task.standing} fresh={task.brings} {seam} />
            </section>
        </div>
        <div class="min-h-0 min-w-0 space-y-2 overflow-y-auto max-xl:lg:col-span-2">
            {#if joint}
                <JointDetail {member} {joint} {sheet} {access} {where} {pulling} />
                {#if joint.welded}<Measured
                        {desk}
                        {joint}
                        ontacks={(degrees) => (pulled = [joint.id, degrees])}
                    />{/if}
                {#if joint.type === 'butt' && desk.plan.runs.some((run) => run.letter === task.run)}<AsBuilt
                        {desk}
                        {joint}
                    />{/if}
            {:else}
                <TrialFit {desk} {task} />
            {/if}
            {#if desk.plan.runs.some((run) => run.letter === task.run)}
                <ClosingPiece {desk} letter={task.run} />
            {/if}
            {#if !fit.reached}
                <p class="sheet text-quiet p-3">
                    {order.said === '' ? 'What a torch gets to is being worked out…' : order.said}
                </p>
            {/if}
        </div>
    </div>
    <Growth {desk} />
    {#if desk.plan.runs.length > 1 && desk.plan.runs.every((one) => one.run)}
        <InsertionOrder {desk} />
    {/if}
{:else}
    <Nowhere text="The order of building follows from a route that can be cut from stock." {onstage} />
{/if}
