<script lang="ts">
    import Dialog from '@/kit/dialog.svelte';

    type Props = { open: boolean };
    let { open = $bindable() }: Props = $props();

    const keys: [string, string][] = [
        ['1 – 7', 'Survey, Route, Cut, Fit, Weld, Bench, Handover'],
        ['j   k', 'Next and previous joint'],
        ['/', 'Find a joint, a piece or a stage; on the rack, a job'],
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
