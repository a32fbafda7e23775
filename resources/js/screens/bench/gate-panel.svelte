<script lang="ts">
    // What is missing before anybody goes on, and the reason of whoever goes on all the same.
    type Props = { lacks: string[]; ongo: (why: string) => void; onback: () => void };
    let { lacks, ongo, onback }: Props = $props();

    let why = $state('');
    /** It is asked for by a press further up or down: nobody has to look for it. */
    const intoView = (panel: HTMLElement) => panel.scrollIntoView({ block: 'end' });
</script>

<section {@attach intoView} class="border-stop mt-3 border-2 p-3" role="alert" aria-label="Before you go on">
    <ul class="space-y-1 text-[1.1rem]">
        {#each lacks as line, i (i)}<li>△ {line}</li>{/each}
    </ul>
    <label class="label mt-3 block text-base" for="gate-why">Why you go on all the same</label>
    <input
        id="gate-why"
        maxlength="500"
        class="bg-sheet border-strong min-h-16 w-full border px-3 text-lg"
        bind:value={why}
    />
    <div class="mt-2 grid gap-2 sm:grid-cols-2">
        <button
            type="button"
            class="font-label border-strong bg-sheet min-h-16 border text-xl"
            onclick={onback}>Put it right</button
        >
        <button
            type="button"
            class="font-label border-stop text-stop min-h-16 border-2 text-xl font-semibold disabled:opacity-40"
            disabled={why.trim() === ''}
            onclick={() => ongo(why.trim())}>Go on with this reason</button
        >
    </div>
</section>
