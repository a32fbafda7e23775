<script lang="ts">
    // Up to four whole designs side by side: what they take, what they cost, and whether they can be put together.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import { compareDesigns, keepDesign, keptAs, takeDesign } from '@/lib/designs';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { ComparedDesign, ComparisonTable, DesignDocument } from '@/lib/answers';

    type Props = { desk: JobDesk; found: DesignDocument[]; open: boolean; ontaken: () => void };
    let { desk, found, open = $bindable(), ontaken }: Props = $props();

    const MOST = 4;
    let table = $state.raw<ComparisonTable>({ designs: [], rows: [] });
    let failure = $state('');
    let left = $state.raw<string[]>([]);
    const all = $derived(table.designs);
    const kept = $derived(desk.document.set.designs ?? []);
    const hasRoutes = $derived(desk.plan.runs.every((run) => run.run));
    const offered = $derived([
        ...(hasRoutes ? ['as it is now'] : []),
        ...found.map((one) => one.name),
        ...kept.map((one) => one.name),
    ]);
    const chosen = $derived(offered.filter((name) => !left.includes(name)).slice(0, MOST));
    const longest = $derived(
        Math.max(1, ...all.flatMap((one) => one.runs.map(({ run }) => run.length.value))),
    );

    $effect(() => {
        if (!open) return;
        const designs = [...found, ...kept].filter((one) => chosen.includes(one.name));
        void compareDesigns(desk, designs, chosen.includes('as it is now')).then((answer) => {
            failure = typeof answer === 'string' ? answer : '';
            table = typeof answer === 'string' ? { designs: [], rows: [] } : answer;
        });
    });

    async function take(one: ComparedDesign): Promise<void> {
        open = false;
        ontaken();
        await takeDesign(desk, one.design);
    }
</script>

{#snippet narrow(label: string)}
    <!-- On a phone a row is named above its cells, so that they have the whole width. -->
    <tr class="sm:hidden"><td colspan={all.length} class="label border-b-0 pb-0">{label}</td></tr>
{/snippet}

<Dialog
    bind:open
    wide="all"
    title="Designs side by side"
    text="Each planned in full. The best of a row is set bold; times and costs are estimates by the shop’s own rules."
>
    {#if offered.length > MOST || left.length > 0}
        <div class="mb-2 flex flex-wrap gap-1" role="group" aria-label="Which designs">
            {#each offered as name (name)}
                <button
                    type="button"
                    class="border px-2 py-1 {chosen.includes(name) ? 'bg-wash border-action' : 'border-line'}"
                    aria-pressed={chosen.includes(name)}
                    onclick={() =>
                        (left = left.includes(name) ? left.filter((one) => one !== name) : [...left, name])}
                    >{name}</button
                >
            {/each}
        </div>
    {/if}
    {#if failure}<p class="text-stop" role="alert">✕ {failure}</p>{/if}
    {#if all.length > 0}
        <table class="table-plain w-full table-fixed">
            <thead>
                <tr>
                    <th class="w-36 max-sm:hidden"></th>
                    {#each all as one, i (i)}
                        <th class="align-top">
                            <span class="heading block">{one.name}</span>
                            <span class="flex flex-wrap gap-1 py-1">
                                {#if one.name !== 'as it is now'}
                                    <Button look="main" aria-label="Take {one.name}" onclick={() => take(one)}
                                        >Take</Button
                                    >
                                {/if}
                                {#if !kept.some((it) => it.name === one.name)}
                                    <Button
                                        aria-label="Keep {one.name}"
                                        onclick={() => keepDesign(desk, keptAs(one.design))}>Keep</Button
                                    >
                                {/if}
                            </span>
                        </th>
                    {/each}
                </tr>
            </thead>
            <tbody>
                {@render narrow('The runs, to one scale')}
                <tr>
                    <td class="label align-top max-sm:hidden">The runs, to one scale</td>
                    {#each all as one, i (i)}
                        <td>
                            {#each one.runs as { letter, run } (letter)}
                                <span class="my-0.5 grid grid-cols-[1rem_1fr] items-center gap-1">
                                    <span class="font-label text-sm font-semibold">{letter}</span>
                                    <span
                                        class="bg-tube border-strong relative block h-3 border-y"
                                        style:width="{(100 * run.length.value) / longest}%"
                                    >
                                        {#each run.segments.filter((it) => it.bend !== null) as segment (segment.from)}
                                            <span
                                                class="bg-bend absolute inset-y-0"
                                                style:left="{(100 * segment.from) / run.length.value}%"
                                                style:width="{(100 * segment.length) / run.length.value}%"
                                            ></span>
                                        {/each}
                                    </span>
                                </span>
                            {/each}
                        </td>
                    {/each}
                </tr>
                {#each table.rows as row, i (i)}
                    {@render narrow(row.label)}
                    <tr>
                        <td class="label max-sm:hidden">{row.label}</td>
                        {#each row.cells as cell, i (i)}
                            <td
                                class="figure text-[0.9rem] wrap-anywhere whitespace-normal {cell.isBest
                                    ? 'font-medium'
                                    : 'text-quiet'} {cell.text.startsWith('✕') ? 'text-stop' : ''}"
                                >{cell.text}</td
                            >
                        {/each}
                    </tr>
                {/each}
            </tbody>
        </table>
    {:else if !failure}
        <p class="text-quiet">Planning them…</p>
    {/if}
</Dialog>
