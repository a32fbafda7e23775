<script lang="ts">
    // Whole designs, found by a worker of the server while this looks on.
    import { onDestroy, onMount } from 'svelte';
    import Button from '@/kit/button.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { lookAtSearch, putAwaySearch, searchSet, stopSearch } from '@/lib/searches';
    import { designOf, keepDesign, keptAs, takeDesign } from '@/lib/designs';
    import type { RouteSearch, FoundDesign } from '@/lib/answers';
    import { nameOf } from '@/lib/places';
    import CompareDialog from './compare-dialog.svelte';

    type Props = { desk: JobDesk; onpeek: (design: FoundDesign | null) => void };
    let { desk, onpeek }: Props = $props();

    let search = $state.raw<RouteSearch | null>(null);
    let picked = $state(0);
    let comparing = $state(false);
    const found = $derived((search?.designs ?? []).map((one, i) => designOf(one, `Design ${i + 1}`)));
    const kept = $derived(desk.document.set.designs ?? []);
    const hasRoutes = $derived(desk.plan.runs.every((run) => run.run));
    const comparable = $derived(found.length + kept.length + (hasRoutes ? 1 : 0));
    let timer: ReturnType<typeof setTimeout> | undefined;
    const open = $derived(search?.state === 'queued' || search?.state === 'running');

    export async function find(after?: number): Promise<void> {
        take(await searchSet(desk, after));
        picked = 0;
    }

    function take(answer: RouteSearch | null): void {
        if (!answer) return;
        search = answer;
        peek(Math.min(picked, Math.max(0, answer.designs.length - 1)));
        clearTimeout(timer);
        if (open) timer = setTimeout(async () => take(await lookAtSearch(desk, answer.id)), 400);
    }

    function peek(i: number): void {
        picked = i;
        onpeek(search?.designs[i] ?? null);
    }

    /** Taken or only looked at elsewhere, what was found stays until it is put away. */
    function use(design: FoundDesign): void {
        onpeek(null);
        void takeDesign(desk, designOf(design, 'found'));
    }

    function putAway(): void {
        clearTimeout(timer);
        if (search) void putAwaySearch(desk, search.id);
        search = null;
        onpeek(null);
    }

    onMount(async () => {
        if (desk.view.search === null) return;
        const found = await lookAtSearch(desk, desk.view.search);
        // Nothing is drawn over the runs there are until somebody picks a design.
        if (found && !search) search = found;
        if (found && (found.state === 'queued' || found.state === 'running')) take(found);
    });
    onDestroy(() => clearTimeout(timer));

    const inlets = (design: FoundDesign) =>
        design.runs
            .filter((run) => run.inlet !== run.letter)
            .map((run) => `${run.letter} enters at ${run.inlet}`);
</script>

{#if desk.saveState === 'refused'}
    <p class="text-stop px-1">
        ✕ A design can be looked for once the edit at the top is put right: {nameOf(
            Object.keys(desk.errors)[0] ?? '',
            desk.document,
        )}.
    </p>
{/if}
<div class="flex flex-wrap items-center gap-3">
    <Button look="main" onclick={() => find()} disabled={open || desk.saveState === 'refused'}
        >{open
            ? 'Looking…'
            : desk.plan.runs.some((run) => run.run)
              ? 'Find other designs'
              : 'Find a design'}</Button
    >
    {#if comparable > 1}
        <Button onclick={() => (comparing = true)}>Compare</Button>
    {/if}
    {#if open && search}
        <Button onclick={async () => search && take(await stopSearch(desk, search.id))}>Stop</Button>
        <p class="text-quiet" aria-live="polite">
            {search.state === 'queued'
                ? 'waiting for a worker'
                : search.designs.length === 0
                  ? 'nothing complete yet'
                  : 'better ones may come'}
        </p>
    {:else if search}
        <Button onclick={() => search && find(search.id)}>Look further</Button>
        <Button look="quiet" onclick={putAway}>Discard</Button>
    {/if}
</div>
{#if search?.isStale && search.designs.length > 0}
    <p class="text-quiet">
        △ Found before ends, tubes or keep-outs were changed; look again for designs that fit.
    </p>
{/if}
{#if search?.message}
    <p class="sheet border-stop border-l-4 p-3" role="status">{search.message}</p>
{/if}
{#if search && search.designs.length > 0}
    <section class="sheet" aria-label="Designs found">
        <table class="table-plain max-sm:[&_td]:px-1 max-sm:[&_th]:px-1">
            <thead>
                <tr
                    ><th>Bends of each run</th><th class="num">Spread</th><th class="num">All tube</th><th
                    ></th></tr
                >
            </thead>
            <tbody>
                {#each search.designs as design, i (design.seed)}
                    <tr class={i === picked ? 'bg-wash' : ''}>
                        <td>
                            <button
                                type="button"
                                class="text-left"
                                aria-pressed={i === picked}
                                onclick={() => peek(i)}
                            >
                                <span class="figure underline decoration-dotted underline-offset-4"
                                    >{design.runs.map((run) => run.bends).join(' + ')}</span
                                >
                                <span class="text-quiet block text-sm leading-tight"
                                    >{design.odd === 0
                                        ? 'every angle on the grid'
                                        : `${design.odd} of ${design.bends} angles off the grid`}{inlets(
                                        design,
                                    )
                                        .map((one) => ` · ${one}`)
                                        .join('')}</span
                                >
                                {#if design.differs}<span class="block text-sm leading-tight"
                                        >{design.differs}</span
                                    >{/if}
                            </button>
                        </td>
                        <td class="num figure">{design.spread.text}</td>
                        <td class="num figure">{design.total.text}</td>
                        <td
                            ><span class="flex gap-1 max-sm:flex-col"
                                ><Button
                                    look={i === picked ? 'main' : 'plain'}
                                    aria-label="Take design {i + 1}"
                                    onclick={() => use(design)}>Take</Button
                                ><Button
                                    look="quiet"
                                    aria-label="Keep design {i + 1}"
                                    onclick={() => keepDesign(desk, keptAs(designOf(design, '')))}
                                    >Keep</Button
                                ></span
                            ></td
                        >
                    </tr>
                {/each}
            </tbody>
        </table>
    </section>
{/if}
<CompareDialog {desk} {found} bind:open={comparing} ontaken={() => onpeek(null)} />
