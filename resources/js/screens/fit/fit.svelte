<script lang="ts">
    import InsertionOrder from '@/parts/insertion-order.svelte';
    import MemberStrip from '@/parts/member-strip.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import BuildOrder from './build-order.svelte';
    import JointDetail from './joint-detail.svelte';

    let { desk, onstage }: StageProps = $props();

    const steps = $derived(desk.plan.fit.steps.filter((step) => desk.isShown(step.run)));
    const joints = $derived(desk.shown.flatMap((run) => run.joints));
    const picked = $derived(
        joints.find((one) => desk.selection?.kind === 'joint' && one.id === desk.selection.id),
    );
    // Fittings on the side come first in the order; what is looked at first is the datum.
    const datum = $derived(
        steps.map((step) => joints.find((one) => one.id === step.joint)).find((one) => one?.type !== 'bung'),
    );
    const joint = $derived(picked ?? datum ?? joints.find((one) => one.id === steps[0]?.joint));
    const member = $derived(joint ? desk.memberOf(joint.id) : undefined);
    const sheet = $derived(desk.plan.weld.sheets.find((one) => one.joint === joint?.id));
    const order = (id: string) => desk.plan.fit.steps.find((step) => step.joint === id)?.order;
</script>

{#if member && joint}
    <MemberStrip
        {member}
        selection={{ kind: 'joint', id: joint.id }}
        onselect={(selection) => (desk.selection = selection)}
        jointFact={(one) => (order(one.id) ? `· ${order(one.id)}` : '')}
    />
    {#if desk.plan.runs.length > 1 && desk.plan.runs.every((one) => one.run)}
        <InsertionOrder {desk} />
    {/if}
    <div class="grid grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-[minmax(0,1fr)_25rem]">
        <BuildOrder {desk} chosen={joint.id} />
        <JointDetail {member} {joint} {sheet} />
    </div>
{:else}
    <Nowhere text="The order of building follows from a route that can be cut from stock." {onstage} />
{/if}
