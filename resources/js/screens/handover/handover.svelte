<script lang="ts">
    import { isRun } from '@/lib/job-desk.svelte';
    import MemberStrip from '@/parts/member-strip.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import CustomerLinks from './customer-links.svelte';
    import LogList from './log-list.svelte';
    import PhotosTaken from './photos.svelte';
    import Quote from './quote.svelte';
    import Traces from './traces.svelte';

    let { desk, isPlanner, onstage }: StageProps = $props();

    const members = $derived(desk.shown.filter((one) => !isRun(one) || one.run));
    const member = $derived(
        (desk.selection?.kind === 'joint' ? desk.memberOf(desk.selection.id) : undefined) ?? members[0],
    );
    const runs = $derived(members.filter(isRun));
    const bench = $derived(desk.view.bench);
    const used = (joint: string, what: 'amps' | 'oxygen' | 'seconds' | 'temperature' | 'found') =>
        bench?.asWelded[joint]?.[what] || '–';
    const slots = $derived(desk.plan.schedule.slots.filter((slot) => desk.isShown(slot.run)));
    const sheets = $derived(new Map(desk.plan.weld.sheets.map((sheet) => [sheet.joint, sheet])));
    const joints = $derived(new Map(members.flatMap((one) => one.joints).map((joint) => [joint.id, joint])));
    const totals = $derived([
        ['Tube', [...new Set(members.map((one) => one.tube?.name ?? ''))].join(', ')],
        runs.length === 1
            ? ['Length', runs[0]?.run?.length.text ?? '']
            : runs.length > 1
              ? ['Runs', `${runs.length}`]
              : ['Collectors', `${members.length}`],
        ['Mass', desk.plan.cut.mass.text],
        ['Joints welded', `${bench?.jointsDone ?? 0} of ${desk.plan.weld.sheets.length}`],
        ...(bench?.times
            ? [
                  [
                      bench.times.joints === 1
                          ? 'At one joint, planned'
                          : `At ${bench.times.joints} joints, planned`,
                      bench.times.planned,
                  ],
                  ['And as logged', bench.times.logged],
              ]
            : []),
    ]);
    /** The one that is looked at, else the first that was welded. */
    const joint = $derived(
        (desk.selection?.kind === 'joint' ? desk.selection.id : undefined) ??
            slots.find((slot) => isDone(slot.joint))?.joint ??
            slots[0]?.joint ??
            '',
    );
    const zone = new Intl.DateTimeFormat().resolvedOptions().timeZone;
    const welds = $derived((bench?.steps ?? []).filter((step) => step.kind === 'weld'));
    const isDone = (joint: string) =>
        welds.some((step) => step.subject === joint && bench?.done.includes(step.id));
</script>

{#if member && slots.length > 0}
    <MemberStrip
        {member}
        selection={desk.selection}
        onselect={(picked) => (desk.selection = picked)}
        jointDone={(joint) => isDone(joint.id)}
        jointFact={(joint) => (isDone(joint.id) ? used(joint.id, 'amps') : '')}
    />
    <div class="grid gap-2 xl:grid-cols-[1fr_24rem]">
        <div class="min-w-0 space-y-2">
            <section class="sheet flex flex-wrap gap-x-10 gap-y-1 p-3" aria-label="What is handed over">
                {#each totals as [name, value] (name)}
                    <p>
                        <span class="label block">{name}</span><span class="figure text-xl font-medium"
                            >{value}</span
                        >
                    </p>
                {/each}
            </section>
            <section class="sheet p-3" aria-label="Departures">
                <h2 class="heading">Departures</h2>
                {#each bench?.deviations ?? [] as deviation (deviation.step + deviation.what)}
                    <p class="mt-1">
                        △ <span class="label">{deviation.title}:</span>
                        {deviation.what}{deviation.by === '' ? '' : ` · ${deviation.by}`}
                    </p>
                {:else}
                    <p class="text-quiet mt-1">
                        {bench && bench.stepsDone > 0
                            ? 'Every reading lies within what was planned.'
                            : 'Nothing has been logged yet.'}
                    </p>
                {/each}
            </section>
            {#if bench && bench.faces.length > 0}
                <section class="sheet p-3" aria-label="Faces">
                    <h2 class="heading">Faces, as they were measured</h2>
                    {#each bench.faces as face, i (i)}
                        <p class="mt-1">
                            {face.flat ? '✓' : '△'}
                            {face.title.replace('Measure the face of ', '')}: {face.verdict}
                        </p>
                    {/each}
                </section>
            {/if}
            {#if bench}<Traces {desk} {joint} />
                <PhotosTaken job={desk.view.id} {isPlanner} />{/if}
            <section class="sheet" aria-label="Joints as welded">
                <table class="table-plain table-stack">
                    <thead>
                        <tr
                            ><th>Joint</th><th>Between</th><th>Filler</th><th class="num">Amps plan</th><th
                                class="num">Amps used</th
                            ><th class="num">Oxygen</th><th class="num">Time</th><th class="num"
                                >Resumed at</th
                            ><th>Inspected</th></tr
                        >
                    </thead>
                    <tbody>
                        {#each slots as slot (slot.joint)}
                            {@const joint = joints.get(slot.joint)}
                            {@const settings = sheets.get(slot.joint)?.settings}
                            <tr class={desk.selection?.id === slot.joint ? 'bg-wash' : ''}>
                                <td class="figure" data-label="Joint"
                                    >{isDone(slot.joint) ? '✓' : '·'}
                                    <button
                                        type="button"
                                        class="tap underline decoration-dotted underline-offset-4"
                                        onclick={() => (desk.selection = { kind: 'joint', id: slot.joint })}
                                        >{slot.joint}</button
                                    ></td
                                >
                                <td data-label="Between">{joint?.between} to {joint?.and}</td>
                                <td class="figure" data-label="Filler">{settings?.['filler']?.text}</td>
                                <td class="figure num" data-label="Amps plan">{settings?.['amps']?.text}</td>
                                <td class="figure num font-medium" data-label="Amps used"
                                    >{used(slot.joint, 'amps')}</td
                                >
                                <td class="figure num" data-label="Oxygen">{used(slot.joint, 'oxygen')}</td>
                                <td class="figure num" data-label="Time">{used(slot.joint, 'seconds')}</td>
                                <td class="figure num" data-label="Resumed at"
                                    >{used(slot.joint, 'temperature')}</td
                                >
                                <td data-label="Inspected">{used(slot.joint, 'found')}</td>
                            </tr>
                        {/each}
                    </tbody>
                </table>
            </section>
            {#if isPlanner}<Quote {desk} />{/if}
        </div>
        <div class="space-y-2">
            <section class="sheet p-3">
                <h2 class="heading">Record</h2>
                <p class="text-quiet mt-1">
                    Drawing, cut list, settings as planned and used, traces, photos and notes on paper.
                </p>
                <a
                    class="tap bg-action text-on-action font-label mt-3 block rounded-[2px] px-4 py-2.5 text-center text-lg font-semibold"
                    href="/jobs/{desk.view.id}/record.pdf?zone={encodeURIComponent(zone)}"
                    target="_blank"
                    rel="noopener">Record as PDF</a
                >
                <a
                    class="tap border-strong font-label mt-2 flex items-center justify-center rounded-[2px] border px-4 py-2 text-center font-semibold"
                    href="/jobs/{desk.view.id}/record.json">Record as an open file</a
                >
                <p class="mt-2 text-sm">
                    <a class="text-action underline" href="/jobs/{desk.view.id}/job.json">Job file</a> ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/log.csv">Log as a table</a> ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/cut-list.csv">cut list</a> ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/lra.csv">bends as LRA</a> ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/xyz.csv">vertices as XYZ</a> ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/route-problem.json"
                        >the routing problem</a
                    >
                </p>
                <p class="mt-1 text-sm">
                    Runs in space:
                    <a class="text-action underline" href="/jobs/{desk.view.id}/runs.step">solids as STEP</a>
                    ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/runs.dxf"
                        >centrelines as DXF</a
                    >
                    ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/runs.stl">skins as STL</a>
                </p>
                <p class="text-quiet mt-3 text-sm">
                    △ Local codes, emissions and noise law, racing rules and licensed practice come first.
                </p>
            </section>
            {#if bench && isPlanner}<CustomerLinks job={desk.view.id} />{/if}
            <LogList
                job={desk.view.id}
                log={bench?.log ?? []}
                earlier={bench?.earlier ?? 0}
                steps={bench?.steps ?? []}
            />
        </div>
    </div>
{:else}
    <Nowhere text="The record begins once there is a plan." {onstage} />
{/if}
