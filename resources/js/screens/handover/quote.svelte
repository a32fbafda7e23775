<script lang="ts">
    // What the job is offered for, and what it has cost so far: by the log, the stores and the instruments.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { JobQuote, JobQuoteLine } from '@/lib/answers';
    import { money } from '@/lib/money';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import { said, send } from '@/lib/http';

    let { desk }: { desk: JobDesk } = $props();

    let quote = $state.raw<JobQuote | null>(null);
    let failure = $state('');

    $effect(() => {
        // After every save, and after entries were taken, it may be another.
        void [desk.revision.version, desk.view.bench?.log.at(-1)?.position];
        void load(desk.view.id);
    });

    async function load(job: number): Promise<void> {
        const reply = await send('GET', `/jobs/${job}/quote`, 'JobQuote');
        failure = reply.ok ? '' : said(reply);
        if (reply.ok) quote = reply.data;
    }

    const groups = $derived.by(() => {
        const found: { name: string; lines: JobQuoteLine[] }[] = [];
        for (const line of quote?.lines ?? []) {
            const group = found.find((one) => one.name === line.group);
            if (group) group.lines.push(line);
            else found.push({ name: line.group, lines: [line] });
        }
        return found;
    });
    const sum = (lines: JobQuoteLine[], of: 'cost' | 'spent') =>
        lines.some((line) => line[of] !== null)
            ? lines.reduce((all, line) => all + (line[of] ?? 0), 0)
            : null;
    const isCounted = $derived(quote?.expected !== null);
    const left = $derived(quote && quote.expected !== null ? quote.price - quote.expected : null);

    const prices = $derived<Record<string, number>>(desk.document.prices ?? {});
    /** What nobody has said the price of, and what was said here. */
    const asked = $derived(
        (quote?.lines ?? []).filter((line) => line.cost === null || prices[line.key] !== undefined),
    );
    const asNumber = (text: string) =>
        (Number.isFinite(Number(text)) && text.trim() !== '' ? Number(text) : text) as number;

    function setPrice(key: string, text: string): void {
        void desk.edit((document) => {
            const all = { ...document.prices };
            if (text.trim() === '') delete all[key];
            else all[key] = asNumber(text);
            if (Object.keys(all).length > 0) document.prices = all;
            else delete document.prices;
        });
    }

    const outside = $derived(desk.document.outside ?? []);
    const addWork = () =>
        desk.edit((document) => {
            document.outside = [...(document.outside ?? []), { what: 'Laser cutting', cost: 0 }];
        });
    const dropWork = (i: number) =>
        desk.edit((document) => {
            const rest = (document.outside ?? []).filter((_, at) => at !== i);
            if (rest.length > 0) document.outside = rest;
            else delete document.outside;
        });

    function setWork(i: number, key: 'what' | 'cost', text: string): void {
        void desk.edit((document) => {
            const work = document.outside?.[i];
            if (!work) return;
            if (key === 'what') work.what = text;
            else work.cost = asNumber(text);
        });
    }
</script>

<section class="sheet p-3" aria-label="Quote and cost">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 class="heading">Quote and cost</h2>
        <span class="flex gap-4">
            <a
                class="tap text-action underline"
                href="/jobs/{desk.view.id}/quote.pdf"
                target="_blank"
                rel="noopener">Quote as PDF</a
            >
            <a
                class="tap text-action underline"
                href="/jobs/{desk.view.id}/cost.pdf"
                target="_blank"
                rel="noopener">Cost beside it</a
            >
        </span>
    </div>
    {#if failure}<p class="text-stop mt-1">✕ {failure}</p>{/if}
    {#if quote}
        <div class="mt-1 flex flex-wrap gap-x-10 gap-y-1">
            <p>
                <span class="label block">Price, rev {quote.revision}</span><span class="figure text-2xl"
                    >{money(quote.price)}</span
                >
                {#if quote.before}<span class="text-quiet block text-sm"
                        >rev {quote.before.revision} was {money(quote.before.price)}</span
                    >{/if}
            </p>
            <p>
                <span class="label block">Margin, {quote.marginPercent} %</span><span class="figure text-2xl"
                    >{money(quote.margin)}</span
                >
            </p>
            {#if quote.taxPercent > 0}
                <p>
                    <span class="label block">Tax, {quote.taxPercent} %</span><span class="figure text-2xl"
                        >{money(quote.tax)}</span
                    >
                    <span class="text-quiet block text-sm">together {money(quote.price + quote.tax)}</span>
                </p>
            {/if}
            {#if isCounted}
                <p>
                    <span class="label block">Expected cost</span><span class="figure text-2xl"
                        >{money(quote.expected)}</span
                    >
                </p>
                <p class={(left ?? 0) < 0 ? 'text-stop' : ''}>
                    <span class="label block">Left of the price</span><span class="figure text-2xl"
                        >{(left ?? 0) < 0 ? '✕ ' : ''}{money(left)}</span
                    >
                </p>
            {/if}
        </div>
        <table class="table-plain mt-2">
            <thead>
                <tr
                    ><th>What</th><th class="num max-sm:hidden">How much</th><th class="num">Quoted</th
                    >{#if isCounted}<th class="num">Counted</th>{/if}</tr
                >
            </thead>
            <tbody>
                {#each groups as group, i (i)}
                    <tr class="bg-wash">
                        <td class="font-medium">{group.name}</td>
                        <td class="max-sm:hidden"></td>
                        <td class="figure num">{money(sum(group.lines, 'cost'))}</td>
                        {#if isCounted}<td class="figure num">{money(sum(group.lines, 'spent'))}</td>{/if}
                    </tr>
                    {#each group.lines as line (line.key)}
                        <tr>
                            <td
                                >{line.what}
                                <span class="figure text-quiet block text-sm sm:hidden">{line.quantity}</span
                                ></td
                            >
                            <td class="figure num max-sm:hidden"
                                >{line.quantity}{#if line.why}<span class="text-quiet block text-sm"
                                        >{line.why}</span
                                    >{/if}</td
                            >
                            <td class="figure num">{money(line.cost)}</td>
                            {#if isCounted}<td class="figure num">{money(line.spent)}</td>{/if}
                        </tr>
                    {/each}
                {/each}
            </tbody>
        </table>
        {#if quote.unpriced.length > 0}
            <p class="mt-1">
                △ Without a price, and not in the sum: {quote.unpriced.join('; ')}.
                {desk.isDraft
                    ? 'Say below what one costs.'
                    : 'Enter what it costs in the stores, or in the next revision.'}
            </p>
        {/if}
        {#if desk.isDraft && asked.length > 0}
            <h3 class="label mt-3">What one costs, for this job</h3>
            <div class="mt-1 grid gap-x-3 gap-y-1 sm:grid-cols-3 lg:grid-cols-4">
                {#each asked as line (line.key)}
                    <TextField
                        label={line.what}
                        mono
                        value={`${prices[line.key] ?? ''}`}
                        error={errorAt(desk.errors, `prices.${line.key}`)}
                        onchange={(value) => setPrice(line.key, value)}
                    />
                {/each}
            </div>
        {/if}
        <p class="text-quiet mt-2 text-sm">
            Hour rate, margin, gas, wire and discs are the shop’s: <a
                class="text-action underline"
                href="/shop?find=cost.">set what the shop charges</a
            >. Taxes are not in it.
        </p>
        {#if isCounted}
            <p class="text-quiet mt-1 text-sm">
                Counted: out of the stores, through a flowmeter that was read, and from one entry of a person
                to the next. What was not counted, or is not finished, is taken as quoted.
            </p>
        {/if}
    {:else if !failure}
        <p class="text-quiet mt-1">Working it out …</p>
    {/if}
    {#if desk.isDraft}
        <h3 class="label mt-3">Done by others</h3>
        {#each outside as work, i (i)}
            <div class="mt-1 flex flex-wrap items-end gap-x-3 gap-y-1">
                <TextField
                    class="w-64"
                    label="What"
                    value={work.what}
                    error={errorAt(desk.errors, `outside[${i}].what`)}
                    onchange={(value) => setWork(i, 'what', value)}
                />
                <TextField
                    class="w-28"
                    label="Cost"
                    mono
                    value={`${work.cost}`}
                    error={errorAt(desk.errors, `outside[${i}].cost`)}
                    onchange={(value) => setWork(i, 'cost', value)}
                />
                <Button onclick={() => dropWork(i)}>Remove</Button>
            </div>
        {/each}
        <Button class="mt-2" onclick={addWork}>Add outside work</Button>
    {/if}
</section>
