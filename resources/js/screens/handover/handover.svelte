<script lang="ts">
    import Ribbon from '@/parts/ribbon.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import LogList from './log-list.svelte';

    let { desk, onstage }: StageProps = $props();

    const run = $derived(desk.run);
    const bench = $derived(desk.view.bench);
    const used = (joint: string, step: string, measure: string) =>
        bench?.readings[`${step}.${joint}`]?.[measure] ?? '–';
    const isDone = (joint: string) => bench?.done.includes(`weld.${joint}`) ?? false;
</script>

{#if run?.run && run.sheets.length > 0}
    <Ribbon
        {run}
        selection={desk.selection}
        onselect={(picked) => (desk.selection = picked)}
        jointDone={(joint) => isDone(joint.id)}
        jointFact={(joint) => (isDone(joint.id) ? used(joint.id, 'weld', 'amps') : '')}
    />
    <div class="grid gap-2 lg:grid-cols-[1fr_24rem]">
        <div class="space-y-2">
            <section
                class="sheet grid grid-cols-2 gap-x-6 gap-y-1 p-3 sm:grid-cols-4"
                aria-label="What is handed over"
            >
                {#each [['Tube', run.tube?.name ?? ''], ['Length', run.run.length.text], ['Mass', run.mass.text], ['Joints welded', `${bench?.jointsDone ?? 0} of ${desk.plan.jointCount}`]] as [name, value] (name)}
                    <p>
                        <span class="label block">{name}</span><span class="figure text-xl font-medium"
                            >{value}</span
                        >
                    </p>
                {/each}
            </section>
            <section class="sheet overflow-x-auto" aria-label="Joints as welded">
                <table class="table-plain">
                    <thead>
                        <tr
                            ><th>Joint</th><th>Between</th><th>Filler</th><th class="num">Amps plan</th><th
                                class="num">Amps used</th
                            ><th class="num">Oxygen</th><th class="num">Time</th><th class="num"
                                >Gone on at</th
                            ></tr
                        >
                    </thead>
                    <tbody>
                        {#each run.sheets as sheet (sheet.joint)}
                            {@const joint = run.joints.find((one) => one.id === sheet.joint)}
                            <tr class={desk.selection?.id === sheet.joint ? 'bg-wash' : ''}>
                                <td class="figure">{isDone(sheet.joint) ? '✓' : '·'} {sheet.joint}</td>
                                <td>{joint?.between} to {joint?.and}</td>
                                <td class="figure">{sheet.settings['filler']?.text}</td>
                                <td class="figure num">{sheet.settings['amps']?.text}</td>
                                <td class="figure num font-medium">{used(sheet.joint, 'weld', 'amps')}</td>
                                <td class="figure num">{used(sheet.joint, 'purge', 'oxygen')}</td>
                                <td class="figure num">{used(sheet.joint, 'weld', 'seconds')}</td>
                                <td class="figure num">{used(sheet.joint, 'cool', 'temperature')}</td>
                            </tr>
                        {/each}
                    </tbody>
                </table>
            </section>
            <section class="sheet p-3" aria-label="Otherwise than planned">
                <h2 class="heading">Otherwise than planned</h2>
                {#each bench?.deviations ?? [] as deviation (deviation.step + deviation.what)}
                    <p class="mt-1">△ <span class="figure">{deviation.step}</span> {deviation.what}</p>
                {:else}
                    <p class="text-quiet mt-1">
                        {bench && bench.stepsDone > 0
                            ? 'Every reading lies within what was planned.'
                            : 'Nothing has been logged yet.'}
                    </p>
                {/each}
            </section>
        </div>
        <div class="space-y-2">
            <section class="sheet p-3">
                <h2 class="heading">Record</h2>
                <p class="text-quiet mt-1">Route, cut list, settings, readings and notes on paper.</p>
                <a
                    class="bg-action text-on-action font-label mt-3 block rounded-[2px] px-4 py-2.5 text-center text-lg font-semibold"
                    href="/jobs/{desk.view.id}/record.pdf"
                    target="_blank"
                    rel="noopener">Record as PDF</a
                >
                <a
                    class="border-strong font-label mt-2 block rounded-[2px] border px-4 py-2 text-center font-semibold"
                    href="/jobs/{desk.view.id}/job.json">Job file</a
                >
                <p class="mt-2 text-sm">
                    <a class="text-action underline" href="/jobs/{desk.view.id}/lra.csv">Bends as LRA</a> ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/xyz.csv">vertices as XYZ</a> ·
                    <a class="text-action underline" href="/jobs/{desk.view.id}/route-problem.json"
                        >the routing problem</a
                    >
                </p>
                <p class="text-quiet mt-3 text-sm">
                    △ Local codes, emissions and noise law, racing rules and licensed practice come first.
                </p>
            </section>
            <LogList log={bench?.log ?? []} steps={bench?.steps ?? []} />
        </div>
    </div>
{:else}
    <Nowhere text="The record begins once there is a plan." {onstage} />
{/if}
