<script lang="ts">
    import FigureCell from '@/parts/figure-cell.svelte';
    import Ribbon from '@/parts/ribbon.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';
    import Argon from './argon.svelte';
    import JointSheet from './joint-sheet.svelte';

    let { desk, onstage }: StageProps = $props();

    const run = $derived(desk.run);
    const sheet = $derived(
        run?.sheets.find((one) => desk.selection?.kind === 'joint' && one.joint === desk.selection.id) ??
            run?.sheets[0],
    );
    const joint = $derived(run?.joints.find((one) => one.id === sheet?.joint));
    const amps = (id: string) => run?.sheets.find((one) => one.joint === id)?.settings['amps']?.text ?? '';
    const columns = [
        ['amps', 'Amps'],
        ['filler', 'Filler'],
        ['wire', 'Wire'],
        ['heat', 'Heat'],
        ['cool', 'Cool'],
    ] as const;
</script>

{#if run && sheet && joint}
    <Ribbon
        {run}
        selection={{ kind: 'joint', id: joint.id }}
        onselect={(picked) => (desk.selection = picked)}
        jointFact={(one) => amps(one.id)}
    />
    <div class="grid gap-2 lg:grid-cols-[1fr_29rem]">
        <div class="space-y-2">
            <section class="sheet overflow-x-auto" aria-label="Welds in order">
                <table class="table-plain">
                    <thead>
                        <tr
                            ><th>Weld</th><th>Joint</th>{#each columns as [key, name] (key)}<th class="num"
                                    >{name}</th
                                >{/each}<th class="num">Purge</th></tr
                        >
                    </thead>
                    <tbody>
                        {#each run.sheets as one (one.joint)}
                            {@const seam = run.joints.find((candidate) => candidate.id === one.joint)}
                            <tr class={one.joint === joint.id ? 'bg-wash' : ''}>
                                <td class="figure">{one.order}</td>
                                <td>
                                    <button
                                        type="button"
                                        class="text-left"
                                        onclick={() => (desk.selection = { kind: 'joint', id: one.joint })}
                                    >
                                        <span class="figure underline decoration-dotted underline-offset-4"
                                            >{one.joint}</span
                                        >
                                        <span class="text-quiet block text-sm leading-tight"
                                            >{seam?.typeLabel}</span
                                        >
                                    </button>
                                </td>
                                {#each columns as [key] (key)}
                                    <td class="num"
                                        >{#if one.settings[key]}<FigureCell
                                                figure={one.settings[key]}
                                                {desk}
                                            />{/if}</td
                                    >
                                {/each}
                                <td class="num"
                                    >{#if one.purge['fill']}<FigureCell
                                            figure={one.purge['fill']}
                                            {desk}
                                        />{/if}</td
                                >
                            </tr>
                        {/each}
                    </tbody>
                </table>
            </section>
            <Argon argon={desk.plan.argon} />
        </div>
        <JointSheet {joint} {sheet} {desk} />
    </div>
{:else}
    <Nowhere text="Weld and purge sheets follow from a route that can be cut from stock." {onstage} />
{/if}
