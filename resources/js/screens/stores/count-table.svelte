<script lang="ts">
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import type { Stocktaken } from '@/lib/answers';
    import { said, send } from '@/lib/http';

    type Props = { open: boolean; oncounted: () => void };
    let { open = $bindable(), oncounted }: Props = $props();

    let csv = $state('');
    let failure = $state('');
    let answer = $state.raw<Stocktaken | null>(null);

    async function count(): Promise<void> {
        answer = null;
        const reply = await send('POST', '/stores/counts', 'Stocktaken', { csv });
        failure = reply.ok ? '' : said(reply);
        if (!reply.ok) return;
        answer = reply.data;
        if (reply.data.counted === 0) return;
        csv = '';
        oncounted();
    }

    async function read(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
        csv = (await event.currentTarget.files?.[0]?.text()) ?? csv;
    }
</script>

<Dialog
    bind:open
    wide
    title="Count from a table"
    text="One item a line: item, count, place, price, order at, order up to, kind, name. All of it is taken, or nothing."
>
    <div class="space-y-3">
        <label class="label block"
            >A CSV file
            <input type="file" accept=".csv,text/csv" class="mt-1 block w-full" onchange={read} /></label
        >
        <label class="label block" for="count-lines">Or pasted from a spreadsheet</label>
        <textarea
            id="count-lines"
            bind:value={csv}
            rows="8"
            class="figure bg-sheet border-strong w-full rounded-[2px] border p-2 text-sm"
            placeholder="T3.000x.065, 3, Tube rack A, 58"></textarea>
        {#if failure}<p class="text-stop" role="alert">✕ {failure}</p>{/if}
        {#if answer && answer.counted > 0}
            <p role="status">● <span class="figure">{answer.counted}</span> items are counted.</p>
        {:else if answer}
            <div role="alert">
                <p class="text-stop">
                    ✕ {answer.rejected.length === 0
                        ? 'There is no item in it.'
                        : 'Nothing was counted. These lines cannot be used:'}
                </p>
                <ul class="divide-line mt-1 max-h-48 divide-y overflow-auto">
                    {#each answer.rejected as one (one.line)}
                        <li class="py-1 text-sm">
                            Line <span class="figure">{one.line}</span>: {one.why}
                            <span class="figure text-quiet block overflow-hidden text-ellipsis"
                                >{one.text}</span
                            >
                        </li>
                    {/each}
                </ul>
            </div>
        {/if}
        <Button look="main" disabled={csv.trim() === ''} onclick={count}>Take this count</Button>
    </div>
</Dialog>
