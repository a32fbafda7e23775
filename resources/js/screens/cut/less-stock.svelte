<script lang="ts">
    // Looks for cuts of the whole job with fewer joints or at less cost, and puts them beside those there are.
    import Button from '@/kit/button.svelte';
    import type { LessStock } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import CutOffer from './cut-offer.svelte';
    import { hasChosenCuts, lookForLess, workOutCuts } from '@/lib/less-stock';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    let answer = $state.raw<LessStock | null>(null);
    let asked = $state.raw<unknown>(null);
    let failure = $state('');
    let isLooking = $state(false);

    // What was found for other cuts says nothing about these.
    const offer = $derived(asked === desk.document ? answer : null);
    async function look(): Promise<void> {
        isLooking = true;
        failure = '';
        const document = desk.document;
        const reply = await lookForLess(desk);
        isLooking = false;
        if (typeof reply === 'string') failure = reply;
        else [answer, asked] = [reply, document];
    }
</script>

<div class="border-line mt-2 border-t pt-2" aria-label="Less stock">
    <div class="flex flex-wrap items-center justify-between gap-2">
        <p class="text-quiet min-w-0 text-sm">
            {#if isLooking}
                Looking at all runs together, for three seconds …
            {:else if offer && !offer.found}
                ● Nothing with fewer joints or at less cost was found.
            {:else if hasChosenCuts(desk)}
                Cuts were chosen for this job; they stay until its routes change.
            {:else}
                Joints of each run are worked out by themselves; all runs together may share more.
            {/if}
        </p>
        <span class="flex gap-2">
            {#if hasChosenCuts(desk)}
                <Button look="quiet" onclick={() => workOutCuts(desk)}>Work them out again</Button>
            {/if}
            <Button disabled={isLooking} onclick={look}>Look for less</Button>
        </span>
    </div>
    {#if failure}<p class="text-stop text-sm" role="alert">✕ {failure}</p>{/if}
    {#if offer?.found && offer.document}
        <CutOffer {offer} {desk} word="Found" />
    {/if}
</div>
