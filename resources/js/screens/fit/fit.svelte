<script lang="ts">
    import { ToggleGroup } from 'bits-ui';
    import JointDial from '@/parts/joint-dial.svelte';
    import InsertionOrder from '@/parts/insertion-order.svelte';
    import Ribbon from '@/parts/ribbon.svelte';
    import type { StageProps } from '../job/stages';
    import Nowhere from '../job/nowhere.svelte';

    let { desk, onstage }: StageProps = $props();

    const run = $derived(desk.run);
    const id = $derived(
        desk.selection?.kind === 'joint'
            ? desk.selection.id
            : (run?.fitting.find((step) => !step.joint.includes('B'))?.joint ?? run?.fitting[0]?.joint),
    );
    const joint = $derived(run?.joints.find((one) => one.id === id));
    const sheet = $derived(run?.sheets.find((one) => one.joint === id));
    const bung = $derived(run?.fittings.find((one) => one.joint === id));
    const order = (jointId: string) => run?.fitting.find((step) => step.joint === jointId)?.order;
    const piece = $derived(run?.pieces.find((one) => one.mark === joint?.and));
    let tacks = $state<'trial' | 'full'>('full');
</script>

{#if run && run.fitting.length > 0}
    <Ribbon
        {run}
        selection={desk.selection}
        onselect={(picked) => (desk.selection = picked)}
        jointFact={(one) => (order(one.id) ? `· ${order(one.id)}` : '')}
    />
    {#if desk.plan.runs.length > 1 && desk.plan.runs.every((one) => one.run)}
        <InsertionOrder {desk} />
    {/if}
    <div class="grid gap-2 lg:grid-cols-[1fr_25rem]">
        <section class="sheet self-start p-3" aria-label="Order of building">
            <h2 class="heading">Build in this order</h2>
            <ol class="divide-line mt-1 divide-y">
                {#each run.fitting as step (step.joint)}
                    <li class={step.joint === id ? 'bg-wash' : ''}>
                        <button
                            type="button"
                            class="grid w-full grid-cols-[2.2rem_4rem_1fr] gap-2 py-2 text-left"
                            aria-pressed={step.joint === id}
                            onclick={() => (desk.selection = { kind: 'joint', id: step.joint })}
                        >
                            <span class="figure text-2xl leading-tight font-medium">{step.order}</span>
                            <span class="figure pt-1">{step.joint}</span>
                            <span
                                ><span class="font-label text-lg font-semibold"
                                    >{step.brings} to {step.to}</span
                                ><span class="text-quiet block">{step.why}</span></span
                            >
                        </button>
                    </li>
                {/each}
            </ol>
            <div class="border-line mt-2 border-t pt-2">
                <h3 class="heading">Trial fit before the full tacks</h3>
                <p class="text-quiet">
                    Gasket in, panels hung, plain nut on the V-band; steering and suspension through their
                    whole range; every bolt and sensor reached with the real tool.
                </p>
                <p class="mt-1 text-sm">△ Tacks are not a support: strap the piece, and never be under it.</p>
            </div>
        </section>
        {#if joint && sheet}
            <section class="sheet p-3" aria-label="Joint {joint.id}">
                <div class="flex items-baseline justify-between">
                    <h2 class="heading">
                        {joint.id} <span class="text-quiet font-normal">{joint.typeLabel}</span>
                    </h2>
                    <ToggleGroup.Root
                        type="single"
                        value={tacks}
                        onValueChange={(value) => (tacks = value === 'trial' ? 'trial' : 'full')}
                        class="flex"
                        aria-label="Which tacks"
                    >
                        {#each ['trial', 'full'] as kind (kind)}
                            <ToggleGroup.Item
                                value={kind}
                                class="label border-strong data-[state=on]:bg-ink data-[state=on]:text-paper border px-2 py-0.5 capitalize"
                                >{kind} tacks</ToggleGroup.Item
                            >
                        {/each}
                    </ToggleGroup.Root>
                </div>
                <div class="flex justify-center">
                    <JointDial {joint} {sheet} fittings={run.fittings} {tacks} size={290} />
                </div>
                <p class="label text-center">
                    looking with the flow, {joint.between} → {joint.and} · strokes: index mark, on the throat line
                    before
                </p>
                <dl class="mt-2 space-y-0.5">
                    <div class="flex justify-between gap-3">
                        <dt class="text-quiet">Index mark</dt>
                        <dd>{sheet.index.text}</dd>
                    </div>
                    {#if piece?.clocking}
                        <div class="flex justify-between gap-3">
                            <dt class="text-quiet">Turn {piece.mark}</dt>
                            <dd class="figure">
                                {piece.clocking.turn.text} = {piece.clocking.around.text}
                                {piece.clocking.way}
                            </dd>
                        </div>
                    {/if}
                    {#if bung}
                        <div class="flex justify-between gap-3">
                            <dt class="text-quiet">On {bung.piece}, from its upstream end</dt>
                            <dd class="figure">{bung.fromPieceStart.text}</dd>
                        </div>
                        <div class="flex justify-between gap-3">
                            <dt class="text-quiet">Round from the throat line</dt>
                            <dd class="figure">
                                {bung.fromThroat.turn.text} = {bung.fromThroat.around.text}
                                {bung.fromThroat.way}
                            </dd>
                        </div>
                    {/if}
                    <div class="flex justify-between gap-3">
                        <dt class="text-quiet">Tacks</dt>
                        <dd class="figure">
                            {tacks === 'full' ? sheet.tacks.full.length : 2} × {sheet.tacks.length.text}
                        </dd>
                    </div>
                </dl>
                <p class="text-quiet mt-2 text-sm">
                    {tacks === 'trial'
                        ? 'Two close together on one side: it holds, and can still be hinged.'
                        : 'Opposite pairs in turn; the last on the side the tube should move towards.'}
                </p>
            </section>
        {/if}
    </div>
{:else}
    <Nowhere text="The order of building follows from a route that can be cut from stock." {onstage} />
{/if}
