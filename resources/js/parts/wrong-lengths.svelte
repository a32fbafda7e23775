<script lang="ts">
    // Pieces that were cut to another length than planned: what that does, and how to go on.
    import type { WrongLength } from '@/lib/answers';

    type Props = { wrong: WrongLength[]; open?: boolean };
    let { wrong, open = false }: Props = $props();
</script>

{#each wrong as one (one.mark)}
    <details class="sheet border-stop border-l-4" {open} aria-label="{one.mark} has a wrong length">
        <summary class="flex min-h-(--tap) cursor-pointer flex-wrap items-center gap-x-3 px-3 py-1.5">
            <span class="font-medium">△ {one.mark} is {one.off}</span>
            <span class="text-quiet text-sm">{one.farEnd}</span>
        </summary>
        <ul class="list-disc px-3 pb-3 pl-8">
            {#each one.rescues as rescue (rescue)}<li>{rescue}</li>{/each}
        </ul>
    </details>
{/each}
