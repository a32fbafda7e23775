<script lang="ts">
    // Every weld of the job in its turn, under the part of the build it belongs to.
    import FigureCell from '@/parts/figure-cell.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Sheet, Slot } from '@/lib/answers';

    type Props = { desk: JobDesk; slots: Slot[]; sheets: Map<string, Sheet>; chosen: string };
    let { desk, slots, sheets, chosen }: Props = $props();

    const columns = [
        ['amps', 'Amps'],
        ['filler', 'Filler'],
        ['wire', 'Wire'],
        ['heat', 'Heat'],
        ['cool', 'Cool'],
    ] as const;
    const labels = $derived(
        new Map(desk.members.flatMap((one) => one.joints).map((joint) => [joint.id, joint.typeLabel])),
    );
    const opens = (i: number) => slots[i]?.phaseLabel !== slots[i - 1]?.phaseLabel;
</script>

<section class="sheet" aria-label="Welds in order">
    <table class="table-plain table-stack">
        <thead>
            <tr
                ><th>Weld</th><th>Joint</th>{#each columns as [key, name] (key)}<th class="num">{name}</th
                    >{/each}<th class="num">Purge</th></tr
            >
        </thead>
        <tbody>
            {#each slots as slot, i (slot.joint)}
                {@const sheet = sheets.get(slot.joint)}
                {#if opens(i)}
                    <tr class="stack-head"
                        ><th colspan="8" scope="rowgroup" class="first-letter:uppercase">{slot.phaseLabel}</th
                        ></tr
                    >
                {/if}
                <tr class={slot.joint === chosen ? 'bg-wash' : ''}>
                    <td class="figure" data-label="Weld">{slot.order}</td>
                    <td data-label="Joint">
                        <button
                            type="button"
                            class="text-left"
                            onclick={() => desk.look({ kind: 'joint', id: slot.joint })}
                        >
                            <span class="figure underline decoration-dotted underline-offset-4"
                                >{slot.joint}</span
                            >
                            <span class="text-quiet block text-sm leading-tight"
                                >{labels.get(slot.joint)}</span
                            >
                        </button>
                        {#if slot.wait.value >= 60}<span class="text-quiet block text-sm"
                                >first wait <span class="figure">{slot.wait.text}</span></span
                            >{/if}
                    </td>
                    {#each columns as [key, name] (key)}
                        <td class="num" data-label={name}
                            >{#if sheet?.settings[key]}<FigureCell
                                    figure={sheet.settings[key]}
                                    {desk}
                                />{/if}</td
                        >
                    {/each}
                    <td class="num" data-label="Purge"
                        >{#if sheet?.purge['fill']}<FigureCell figure={sheet.purge['fill']} {desk} />{/if}</td
                    >
                </tr>
            {/each}
        </tbody>
    </table>
</section>
