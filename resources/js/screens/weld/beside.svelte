<script lang="ts">
    // Another job at the same bench: while a seam of one cools, the other is welded.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import type { Beside, OtherJobs } from '@/lib/answers';
    import { send } from '@/lib/http';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk };
    let { desk }: Props = $props();

    const BUSY = 429;
    const AGAIN_MS = 1500;
    const TRIES = 12;

    let others = $state.raw<OtherJobs['jobs'] | null>(null);
    let other = $state('');
    let found = $state.raw<Beside | null>(null);
    let isLooking = $state(false);
    let failure = $state('');

    async function offer(): Promise<void> {
        const reply = await send('GET', `/jobs/${desk.view.id}/beside`, 'OtherJobs');
        failure = reply.ok ? '' : reply.message;
        if (reply.ok) others = reply.data.jobs;
    }

    async function look(id: string): Promise<void> {
        other = id;
        found = null;
        if (id === '') return;
        isLooking = true;
        const ask = () => send('GET', `/jobs/${desk.view.id}/beside/${id}`, 'Beside');
        let reply = await ask();
        // The server works out one such thing for a person at a time; the page itself may have asked for another.
        for (let i = 0; i < TRIES && !reply.ok && reply.status === BUSY && other === id; i++) {
            await new Promise((after) => setTimeout(after, AGAIN_MS));
            reply = await ask();
        }
        if (other !== id) return;
        isLooking = false;
        failure = reply.ok ? '' : reply.message;
        if (reply.ok) found = reply.data;
    }

    const own = $derived(desk.document.job.number);
    const rows = $derived(
        found
            ? [own, found.other].map((number) => ({
                  number,
                  welds: found?.welds.filter((one) => one.job === number) ?? [],
              }))
            : [],
    );
    const percent = (seconds: number) => `${(100 * seconds) / Math.max(found?.total.value ?? 1, 1)}%`;
</script>

<section class="sheet p-3" aria-label="Beside another job">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
        <h2 class="heading grow">Beside another job</h2>
        {#if others === null}
            <Button onclick={offer}>Choose one</Button>
        {:else}
            <SelectField
                label="Welded at the same bench"
                class="w-72"
                value={other}
                options={[
                    { id: '', name: others.length > 0 ? 'choose' : 'there is no other job' },
                    ...others.map((one) => ({ id: `${one.id}`, name: `${one.number} ${one.title}` })),
                ]}
                onchange={(id) => void look(id)}
            />
        {/if}
    </div>
    {#if failure}<p class="text-stop mt-1" role="alert">✕ {failure}</p>{/if}
    {#if isLooking}<p class="text-quiet mt-1">Looking for the order that is done soonest…</p>{/if}
    {#if found}
        <p class="mt-2">
            <span class="figure text-xl font-medium">{found.total.text}</span> for both,
            <span class="figure">{found.oneAfterOther.text}</span> one after the other.
        </p>
        {#each rows as row (row.number)}
            <p class="label mt-1.5">{row.number}</p>
            <div
                class="border-line relative h-6 border"
                role="img"
                aria-label="Welds of {row.number} in time"
            >
                {#each row.welds as weld (weld.joint)}
                    <div
                        class="absolute inset-y-0 {row.number === own ? 'bg-ink' : 'bg-action'}"
                        style:left={percent(weld.start.value)}
                        style:width={percent(weld.end.value - weld.start.value)}
                        title="{weld.joint}, begun after {weld.start.text}"
                    ></div>
                {/each}
            </div>
        {/each}
        <ol class="figure mt-2 columns-2 gap-x-6 text-sm sm:columns-4" aria-label="Order of both">
            {#each found.welds as weld, i (`${weld.job} ${weld.joint}`)}
                <li class={weld.job === own ? '' : 'text-action'}>
                    {i + 1}
                    {weld.job === own ? '' : `${weld.job} `}{weld.joint}
                </li>
            {/each}
        </ol>
    {/if}
</section>
