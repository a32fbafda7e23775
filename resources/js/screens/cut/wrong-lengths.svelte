<script lang="ts">
    // Pieces that were cut to another length than planned: what that does, and how to go on.
    import type { WrongLength } from '@/lib/answers';

    type Props = { wrong: WrongLength[] };
    let { wrong }: Props = $props();
</script>

{#each wrong as one (one.mark)}
    <section class="sheet border-stop border-l-4 p-3" aria-label="{one.mark} has a wrong length">
        <h2 class="heading">△ {one.mark} is {one.off}</h2>
        <p>{one.farEnd}</p>
        <ul class="mt-1 list-disc pl-5">
            {#each one.rescues as rescue (rescue)}<li>{rescue}</li>{/each}
        </ul>
    </section>
{/each}
