<script lang="ts">
    // A bend that no stock has, made of wedges from a stick: how many welds, what they are cut to, what they cost.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { RowDocument, RunPlan } from '@/lib/answers';
    import { money } from '@/lib/money';

    type Props = { desk: JobDesk; run: RunPlan; bend: number };
    let { desk, run, bend }: Props = $props();

    const row = $derived(desk.entered?.route?.bends[bend]);
    const usual = $derived(run.run?.bends[bend]?.usualWelds ?? 5);
    const pie = $derived(run.pieces.map((piece) => piece.pie).find((one) => one?.bend === bend));
    const place = $derived(`${desk.path}.route.bends[${bend}]`);
    const isUnstocked = $derived(
        desk.plan.notices.some((notice) => [`${place}.clr`, `${place}.angle`].includes(notice.path)),
    );

    const rows = $derived.by((): [string, string][] => {
        if (!pie) return [];
        const { sum } = pie;
        // Whoever does not quote gets no sums of money.
        const made = [
            ...(sum.making === null ? [] : [money(sum.making)]),
            sum.minutes.text,
            `${sum.blades} of a blade`,
        ];
        return [
            ['Each cut to the square one', pie.mitre.text],
            [
                `${pie.welds - 1} wedges, long and short side`,
                `${pie.wedge.outer.text} / ${pie.wedge.inner.text}`,
            ],
            ['Two ends from the tangent', `${pie.end.outer.text} / ${pie.end.inner.text}`],
            ['Of that, for what each weld draws together', pie.shrink.text],
            ['Of the stick', pie.stick.text],
            ['One weld', pie.seam.text],
            ['Sawn here', made.join(', ')],
            ...(sum.set === null ? [] : [['A set cut ready', money(sum.set)] as [string, string]]),
        ];
    });

    function change(with_: (row: RowDocument) => void): void {
        void desk.editRun((one) => {
            const found = one.route?.bends[bend];
            if (found) with_(found);
        });
    }
</script>

{#if row?.pie}
    <div class="border-line mt-2 border-t pt-2" role="group" aria-label="Bend {bend + 1} of wedges">
        <div class="flex flex-wrap items-end justify-between gap-2">
            <p class="heading">Bend {bend + 1} is made of wedges</p>
            <TextField
                class="w-20"
                label="Welds"
                mono
                inputmode="numeric"
                value={row.pie}
                error={errorAt(desk.errors, `${place}.pie`)}
                onchange={(value) =>
                    change(
                        (one) =>
                            (one.pie = Number.isNaN(Number(value))
                                ? (value as unknown as number)
                                : Number(value)),
                    )}
            />
        </div>
        {#if pie}
            <dl class="mt-1">
                {#each rows as [name, value] (name)}
                    <div class="border-line flex justify-between gap-3 border-b py-0.5">
                        <dt class="text-quiet">{name}</dt>
                        <dd class="figure">{value}</dd>
                    </div>
                {/each}
            </dl>
            <p class="mt-1 text-sm">
                {pie.sum.isBought
                    ? 'Buy the wedges: sawing them here costs more than a set.'
                    : 'Saw them here: a set costs more.'}
            </p>
        {/if}
        <p class="mt-1">
            <Button look="quiet" onclick={() => change((one) => delete one.pie)}>Take a bought bend</Button>
        </p>
    </div>
{:else if row}
    <p class="border-line mt-2 flex flex-wrap items-center justify-between gap-2 border-t pt-2">
        <span class={isUnstocked ? 'text-stop' : 'text-quiet text-sm'}
            >{isUnstocked
                ? '✕ No bend on the list does this.'
                : `Bend ${bend + 1} is cut from a bought one.`}</span
        >
        <Button look={isUnstocked ? 'main' : 'quiet'} onclick={() => change((one) => (one.pie = usual))}
            >Make it of wedges</Button
        >
    </p>
{/if}
