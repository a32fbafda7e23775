<script lang="ts">
    import { Command } from 'bits-ui';
    import Dialog from '@/kit/dialog.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { Stage } from '@/lib/answers';
    import { STAGES } from '@/lib/places';

    type Props = { open: boolean; desk: JobDesk; onstage: (stage: Stage) => void };
    let { open = $bindable(), desk, onstage }: Props = $props();

    function take(action: () => void): void {
        open = false;
        action();
    }
</script>

<Dialog bind:open title="Find">
    <Command.Root label="Find in this job">
        <Command.Input
            class="bg-sheet border-strong w-full rounded-[2px] border px-2 py-1.5"
            placeholder="A joint, a piece, a stage…"
            autofocus
        />
        <Command.List class="mt-2 max-h-80 overflow-auto">
            <Command.Empty class="text-quiet p-2">Nothing of that name in this job.</Command.Empty>
            {#each STAGES as stage, i (stage)}
                <Command.Item
                    class="data-selected:bg-wash flex gap-3 px-2 py-1.5 capitalize"
                    value={stage}
                    onSelect={() => take(() => onstage(stage))}
                >
                    <span class="key">{i}</span>{stage}
                </Command.Item>
            {/each}
            {#each desk.members.flatMap((one) => one.joints) as joint (joint.id)}
                <Command.Item
                    class="data-selected:bg-wash flex gap-3 px-2 py-1.5"
                    value="{joint.id} {joint.typeLabel} {joint.between} {joint.and}"
                    onSelect={() => take(() => desk.look({ kind: 'joint', id: joint.id }))}
                >
                    <span class="figure">{joint.id}</span>{joint.typeLabel}: {joint.between} to {joint.and}
                </Command.Item>
            {/each}
            {#each desk.members.flatMap((one) => one.pieces) as piece (piece.mark)}
                <Command.Item
                    class="data-selected:bg-wash flex gap-3 px-2 py-1.5"
                    value="{piece.mark} piece {piece.stock}"
                    onSelect={() => take(() => desk.look({ kind: 'piece', id: piece.mark }))}
                >
                    <span class="figure">{piece.mark}</span>{piece.stock}
                </Command.Item>
            {/each}
        </Command.List>
    </Command.Root>
</Dialog>
