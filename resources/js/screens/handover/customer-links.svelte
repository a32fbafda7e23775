<script lang="ts">
    // For the customer: a link that shows the record, and nothing but that, until it expires.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import type { CustomerLinks } from '@/lib/answers';
    import { said, send } from '@/lib/http';

    type Props = { job: number };
    let { job }: Props = $props();

    const DAYS = [7, 30, 90].map((days) => ({ id: `${days}`, name: `${days} days` }));

    let days = $state('30');
    let known = $state.raw<CustomerLinks>({ links: [], made: null });
    let failure = $state('');
    let isCopied = $state(false);

    $effect(() => {
        void ask('GET', `/jobs/${job}/links`);
    });

    let turn = 0;

    async function ask(method: 'GET' | 'POST' | 'DELETE', url: string, body?: object): Promise<void> {
        const mine = ++turn;
        const reply = await send(method, url, 'CustomerLinks', body);
        // A list that was asked for before a link was made would take that link away again, which is told but once.
        if (mine !== turn) return;
        failure = reply.ok ? '' : said(reply);
        isCopied = false;
        if (reply.ok) known = reply.data;
    }

    async function copy(): Promise<void> {
        try {
            await navigator.clipboard.writeText(known.made ?? '');
            isCopied = true;
        } catch {
            failure = 'This browser does not let a page copy: mark the link and copy it by hand.';
        }
    }

    const until = (time: string) => new Date(time).toLocaleDateString([], { dateStyle: 'medium' });
</script>

<section class="sheet p-3" aria-label="For the customer">
    <h2 class="heading">For the customer</h2>
    <p class="text-quiet mt-1">A link to the record, to look at and to print; without the shop’s own log.</p>
    <div class="mt-2 flex items-end gap-2">
        <SelectField label="Valid for" value={days} options={DAYS} onchange={(next) => (days = next)} />
        <Button onclick={() => ask('POST', `/jobs/${job}/links`, { days: Number(days) })}>Make a link</Button>
    </div>
    {#if failure}<p class="text-stop mt-1">✕ {failure}</p>{/if}
    {#if known.made}
        <div class="border-action mt-2 border p-2" role="status">
            <p class="figure text-sm break-all whitespace-normal select-all">{known.made}</p>
            <p class="mt-1 flex items-center gap-2">
                <Button onclick={copy}>{isCopied ? '✓ Copied' : 'Copy it'}</Button>
                <span class="text-quiet text-sm">Shown only once: copy it now.</span>
            </p>
        </div>
    {/if}
    <ul class="mt-2">
        {#each known.links as link (link.id)}
            <li class="border-line flex items-center justify-between border-t py-1">
                <span>Can be read until {until(link.until)}</span>
                <Button look="quiet" onclick={() => ask('DELETE', `/jobs/${job}/links/${link.id}`)}
                    >Withdraw</Button
                >
            </li>
        {/each}
    </ul>
</section>
