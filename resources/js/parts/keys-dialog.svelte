<script lang="ts">
    import Dialog from '@/kit/dialog.svelte';
    import { STAGES } from '@/lib/places';

    type Props = { open: boolean };
    let { open = $bindable() }: Props = $props();

    const stages = STAGES.map((name) => name[0]?.toUpperCase() + name.slice(1)).join(', ');
    const keys: [string, string][] = [
        [`0 – ${STAGES.length - 1}`, stages],
        ['j   k', 'Next and previous joint'],
        ['/', 'Find a joint, a piece or a stage; on the rack, a job'],
        ['Enter', 'In a search, opens the first that is found'],
        ['Esc', 'Closes what is open; empties the search on the rack'],
        ['r', 'Back to the rack'],
        ['u', 'Inches or millimetres'],
        ['Ctrl Z   Ctrl Shift Z', 'Undo and redo'],
        ['t', 'Light or bench theme'],
        ['?', 'This list'],
    ];
</script>

<Dialog bind:open title="Keys">
    <dl class="border-line border-t">
        {#each keys as [key, what] (key)}
            <div class="border-line grid grid-cols-[11rem_1fr] border-b py-1.5">
                <dt class="figure whitespace-pre">{key}</dt>
                <dd>{what}</dd>
            </div>
        {/each}
    </dl>
</Dialog>
