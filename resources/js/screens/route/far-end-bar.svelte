<script lang="ts">
    import Button from '@/kit/button.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { RunPlan } from '@/lib/answers';

    type Props = { desk: JobDesk; run: RunPlan; mayPlan: boolean };
    let { desk, run, mayPlan }: Props = $props();

    const end = $derived(run.farEnd);
    const isFree = $derived(desk.entered?.end.free ?? false);

    /** Puts the one turn or trim that closes the far end best into the table. */
    function apply(): void {
        const best = end?.best;
        if (!best) return;
        void desk.editRun((entered) => {
            const route = entered.route;
            const bend = run.run?.bends[best.index];
            if (!route) return;
            if (best.kind === 'turn' && bend && route.bends[best.index]) {
                route.bends[best.index]!.rotation = bend.rotation.value + best.amount;
            } else if (bend && route.bends[best.index]) {
                route.bends[best.index]!.straight = bend.straight.value + best.amount;
            } else {
                route.endStraight = (run.run?.endStraight.value ?? 0) + best.amount;
            }
        });
    }
</script>

{#if end}
    <div
        class="border-line flex flex-wrap items-center gap-x-5 gap-y-1 border-b px-3 py-1.5"
        aria-live="polite"
    >
        {#if isFree}
            <p class="font-label text-action font-semibold">● Ends where its pieces end</p>
        {:else}
            <p class="font-label font-semibold {end.closed ? 'text-action' : 'text-stop'}">
                {end.closed ? '● Far end closed' : '✕ Far end open'}
            </p>
            <p>
                <span class="label">Gap</span> <span class="figure text-lg font-medium">{end.gap.text}</span>
            </p>
            <p>
                <span class="label">Angle</span>
                <span class="figure text-lg font-medium">{end.angle.text}</span>
            </p>
        {/if}
        <p>
            <span class="label">Length</span>
            <span class="figure text-lg font-medium">{run.run?.length.text}</span>
        </p>
        <p><span class="label">Mass</span> <span class="figure">{run.mass.text}</span></p>
        {#if end.best && mayPlan}
            <p class="flex items-center gap-2">
                <Button onclick={apply}>{end.best.text}</Button>
                <span class="text-quiet text-sm">{end.best.leaves}</span>
            </p>
        {/if}
    </div>
{/if}
