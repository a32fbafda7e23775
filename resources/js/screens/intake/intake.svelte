<script lang="ts">
    // What is asked when a job comes in, and what follows from it: metal, tube, what is made or bought, a first quote,
    // and what to measure at the vehicle.
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import type { BroughtDocument, FirstQuote, IntakeAnswer, IntakeDocument } from '@/lib/answers';
    import { said, send } from '@/lib/http';
    import { sendInTurn } from '@/lib/in-turn';
    import { errorAt } from '@/lib/job-desk.svelte';
    import { money } from '@/lib/money';
    import { newest } from '@/lib/newest';
    import FigureCell from '@/parts/figure-cell.svelte';
    import type { StageProps } from '../job/stages';
    import Engine from '../survey/engine.svelte';
    import Brought from './brought.svelte';
    import QuestionRow from './question-row.svelte';

    let { desk, catalogue, mayPlan, isPlanner, onstage }: StageProps = $props();

    let answer = $state.raw<IntakeAnswer | null>(null);
    let quote = $state.raw<FirstQuote | null>(null);
    let isCounting = $state(false);
    let uncounted = $state('');
    let failure = $state('');
    let isAsked = $state(false);

    const intake = $derived<IntakeDocument>(desk.document.intake ?? {});
    const hasWork = $derived(
        desk.document.runs.some((one) => one.route !== null || one.fittings.length > 0) ||
            (desk.document.measured?.readings ?? []).length > 0,
    );

    // The quote plans the job a few times: it comes behind the rest, and holds none of it up.
    const count = newest(async (document: typeof desk.document) => {
        isCounting = true;
        const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/intake/quote`, 'IntakeQuote', {
            document,
        });
        isCounting = false;
        quote = reply.ok ? reply.data.quote : null;
        uncounted = reply.ok ? '' : said(reply);
    });

    const load = newest(async (document: typeof desk.document) => {
        void count(document);
        const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/intake`, 'IntakeAnswer', { document });
        failure = reply.ok ? '' : said(reply);
        if (reply.ok) answer = reply.data;
    });

    $effect(() => {
        // After every save, so that nothing is asked with a document that was refused.
        void desk.revision.version;
        if (isPlanner) untrack(() => void load(desk.document));
    });

    function set(key: string, value: unknown): void {
        void desk.edit((document) => {
            const next = { ...document.intake } as Record<string, unknown>;
            if (value === undefined) delete next[key];
            else next[key] = value;
            if (Object.keys(next).length > 0) document.intake = next as IntakeDocument;
            else delete document.intake;
        });
    }

    const setBrought = (next: BroughtDocument[]) => set('brought', next.length > 0 ? next : undefined);

    async function layOut(): Promise<void> {
        const reply = await send('POST', `/jobs/${desk.view.id}/intake/layout`, 'Changed', {
            document: desk.document,
        });
        isAsked = false;
        failure = reply.ok ? '' : said(reply);
        if (!reply.ok) return;
        await desk.replace(reply.data.document);
        onstage('survey');
    }
</script>

<div class="grid grow grid-cols-[minmax(0,1fr)] content-start gap-2 lg:grid-cols-[minmax(0,34rem)_1fr]">
    <div class="space-y-2">
        <section class="sheet p-3" aria-label="What is wanted">
            <h2 class="heading">What is wanted</h2>
            <fieldset class="mt-2 space-y-3" disabled={!mayPlan}>
                <legend class="sr-only">What is asked</legend>
                <SelectField
                    label="It is a"
                    value={desk.document.job.purpose}
                    options={catalogue.purposes}
                    error={errorAt(desk.errors, 'job.purpose')}
                    onchange={(value) => void desk.edit((document) => (document.job.purpose = value))}
                />
                {#each answer?.questions ?? [] as question (question.key)}
                    <QuestionRow
                        {question}
                        value={(intake as Record<string, string | number | boolean | undefined>)[
                            question.key
                        ]}
                        error={errorAt(desk.errors, `intake.${question.key}`)}
                        onanswer={(value) => set(question.key, value)}
                    />
                {/each}
                {#if answer}
                    <Brought {desk} kinds={answer.brought} metals={catalogue.metals} onchange={setBrought} />
                {/if}
            </fieldset>
        </section>
        {#if desk.document.job.purpose === 'header'}<Engine {desk} {mayPlan} />{/if}
    </div>
    <div class="space-y-2">
        {#if failure}<p class="sheet text-stop px-3 py-2" role="alert">✕ {failure}</p>{/if}
        {#if !isPlanner}
            <p class="sheet text-quiet p-3">What follows from it is shown to those who plan.</p>
        {:else if answer}
            <section class="sheet p-3" aria-label="Begin with">
                <h2 class="heading">Begin with</h2>
                {#each answer.notices as notice (notice.path + notice.message)}
                    <p class="mt-1">△ {notice.message}</p>
                {/each}
                <dl class="border-line mt-2 border-t">
                    {#each answer.figures as figure (figure.key)}
                        <div
                            class="border-line flex flex-wrap items-baseline justify-between gap-x-3 border-b py-1"
                        >
                            <dt class="label">{figure.label}</dt>
                            <dd><FigureCell {figure} {desk} /></dd>
                        </div>
                    {/each}
                </dl>
                {#if answer.layout && mayPlan}
                    <div class="mt-3 flex flex-wrap items-center gap-3">
                        {#if answer.layout.isThere}
                            <p class="text-quiet">The runs are laid out so: {answer.layout.says}.</p>
                            <Button look="main" onclick={() => onstage('survey')}>On to the survey</Button>
                        {:else if isAsked}
                            <p role="alert">
                                △ This takes away the runs there are, with their routes and readings. Undo
                                brings them back.
                            </p>
                            <Button look="main" onclick={layOut}>Lay it out anew</Button>
                            <Button onclick={() => (isAsked = false)}>Leave it</Button>
                        {:else}
                            <Button
                                look="main"
                                onclick={() => {
                                    if (hasWork) isAsked = true;
                                    else void layOut();
                                }}>Lay out {answer.layout.says}</Button
                            >
                        {/if}
                    </div>
                {/if}
            </section>
            <section class="sheet p-3" aria-label="First quote" aria-busy={isCounting}>
                <h2 class="heading">
                    First quote{#if isCounting && quote}<span class="label ml-3">counting again…</span>{/if}
                </h2>
                {#if quote}
                    <div class="mt-1 flex flex-wrap gap-x-10 gap-y-1">
                        <p>
                            <span class="label block">Likely</span>
                            <span class="figure text-2xl">{money(quote.likely)}</span>
                        </p>
                        <p>
                            <span class="label block">Between</span>
                            <span class="figure text-2xl">{money(quote.low)} – {money(quote.high)}</span>
                        </p>
                        <p>
                            <span class="label block">At the bench</span>
                            <span class="figure text-2xl">{quote.likelyTime}</span>
                            <span class="text-quiet block text-sm"
                                >{quote.lowTime} to {quote.highTime}; {quote.joints} joints</span
                            >
                        </p>
                    </div>
                    {#if quote.budget}<p class="mt-2">△ {quote.budget}</p>{/if}
                    {#if quote.collector !== null}
                        <p class="mt-2">
                            Making the collector adds {money(quote.collector)}: a bought one pays below that.
                        </p>
                    {/if}
                    {#if quote.unpriced.length > 0}
                        <p class="mt-2">
                            △ Without what nobody has said the price of: {quote.unpriced.join('; ')}.
                        </p>
                    {/if}
                    <p class="text-quiet mt-2 text-sm">
                        Planned and priced with the shop’s own times: a bend less in every run for the least,
                        a bend more and one made again for the most. Without tax.
                    </p>
                {:else}
                    <p class="text-quiet mt-1">
                        {isCounting ? 'Counting…' : uncounted ? `✕ ${uncounted}` : 'Nothing to count yet.'}
                    </p>
                {/if}
            </section>
            <section class="sheet p-3" aria-label="At the vehicle">
                <div class="flex flex-wrap items-baseline justify-between gap-x-4">
                    <h2 class="heading">At the vehicle</h2>
                    <a
                        class="tap text-action underline"
                        href="/jobs/{desk.view.id}/at-the-vehicle.pdf"
                        target="_blank"
                        rel="noopener">To tick off, as PDF</a
                    >
                </div>
                <dl class="mt-1">
                    {#each answer.measure as one (one.what)}
                        <div
                            class="border-line grid gap-x-4 border-b py-1 sm:grid-cols-[minmax(8rem,13rem)_1fr]"
                        >
                            <dt class="font-medium">{one.what}</dt>
                            <dd class="text-quiet">{one.how}</dd>
                        </div>
                    {/each}
                </dl>
                <p class="mt-2"><span class="label">Take along</span> {answer.bring.join('. ')}.</p>
            </section>
        {:else}
            <p class="sheet text-quiet p-3">Working it out…</p>
        {/if}
    </div>
</div>
