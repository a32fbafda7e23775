<script lang="ts">
    import { OrderOfRuns } from '@/lib/order-of-runs.svelte';
    import FigureCell from '@/parts/figure-cell.svelte';
    import MemberStrip from '@/parts/member-strip.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import Argon from './argon.svelte';
    import Beside from './beside.svelte';
    import JointSheet from './joint-sheet.svelte';
    import OnBench from './on-bench.svelte';
    import Procedures from './procedures.svelte';
    import Timeline from './timeline.svelte';
    import WeldTable from './weld-table.svelte';

    let { desk, onstage }: StageProps = $props();

    const slots = $derived(desk.plan.schedule.slots.filter((slot) => desk.isShown(slot.run)));
    // The joint that is looked at stays, whatever a change of settings does to the order.
    let last = '';
    const slot = $derived(
        slots.find((one) => desk.selection?.kind === 'joint' && one.joint === desk.selection.id) ??
            slots.find((one) => one.joint === last) ??
            slots[0],
    );
    $effect(() => {
        last = slot?.joint ?? '';
    });
    const member = $derived(slot ? desk.memberOf(slot.joint) : undefined);
    const sheets = $derived(new Map(desk.plan.weld.sheets.map((sheet) => [sheet.joint, sheet])));
    const sheet = $derived(slot ? sheets.get(slot.joint) : undefined);
    const joint = $derived(member?.joints.find((one) => one.id === slot?.joint));
    const schedule = $derived(desk.plan.schedule);
    /** A few minutes are not worth another regulator and hose. */
    const WORTH_S = 600;
    const isSlowedByLine = $derived(schedule.total.value - schedule.anotherLine.value >= WORTH_S);

    // Which cup gets to a seam, and its turn, follow from what takes longer than a plan.
    const order = new OrderOfRuns();
    $effect(() => (desk.plan.fit.reached ? undefined : order.ask(desk, 100)));
</script>

{#if member && sheet && joint && slot}
    <MemberStrip
        {member}
        selection={{ kind: 'joint', id: joint.id }}
        onselect={(picked) => (desk.selection = picked)}
        jointFact={(one) => sheets.get(one.id)?.settings['amps']?.text ?? ''}
    />
    <div class="grid gap-2 xl:grid-cols-[1fr_29rem] xl:grid-rows-[auto_1fr]">
        <div class="min-w-0 space-y-2">
            <section class="sheet p-3" aria-label="Time at the torch">
                <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
                    <p>
                        <span class="label block">At the torch, whole job</span>
                        <span class="figure text-xl font-medium">{schedule.total.text}</span>
                    </p>
                    <p>
                        <span class="label block">Of that waiting</span>
                        <span class="figure text-xl font-medium">{schedule.waiting.text}</span>
                    </p>
                    {#if isSlowedByLine}
                        <p>
                            <span class="label block">With a second purge line</span>
                            <span class="figure text-xl font-medium">{schedule.anotherLine.text}</span>
                        </p>
                    {/if}
                    <p class="text-quiet">
                        {schedule.oneByOne.text} if every joint were waited for: one cools while another is welded.
                    </p>
                </div>
                <p class="border-line flex flex-wrap gap-x-6 gap-y-1 border-t pt-1.5">
                    {#each Object.values(desk.plan.weld.schools) as school (school.key)}
                        <span
                            ><span class="text-quiet">{school.label}</span>
                            <FigureCell figure={school} {desk} /></span
                        >
                    {/each}
                </p>
                <Timeline {schedule} chosen={slot.joint} />
            </section>
            {#if sheet.isFilled}<OnBench {desk} {slot} {sheet} {joint} />{/if}
        </div>
        <!-- Beside what was chosen, however far down the table that is. -->
        <div
            class="min-w-0 xl:sticky xl:top-2 xl:row-span-2 xl:max-h-[calc(100dvh-1rem)] xl:self-start xl:overflow-y-auto"
        >
            <JointSheet {joint} {sheet} why={slot.why} {desk} />
        </div>
        <div class="min-w-0 space-y-2">
            <WeldTable {desk} {slots} {sheets} chosen={slot.joint} />
            <Argon argon={desk.plan.weld.argon} changes={schedule.bottles} />
            <Beside {desk} />
            <Procedures {desk} />
        </div>
    </div>
{:else}
    <Nowhere text="Weld and purge sheets follow from a route that can be cut from stock." {onstage} />
{/if}
