<script lang="ts">
    // Cuts that are offered beside those there are, and the one press that takes them.
    import Button from '@/kit/button.svelte';
    import type { LessStock } from '@/lib/answers';
    import { money } from '@/lib/money';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { offer: LessStock; desk: JobDesk; word: string; ontaken?: () => void };
    let { offer, desk, word, ontaken }: Props = $props();

    const NAMES = {
        joints: 'Joints',
        toBuy: 'To buy',
        bends: 'Bends opened',
        bars: 'Bars opened',
        cost: 'Stock, cuts and fitting',
    };
    const rows = $derived(
        Object.entries(NAMES)
            // Whoever does not quote gets no sums of money.
            .filter(([key]) => offer.now[key as keyof typeof NAMES] !== null)
            .map(([key, name]) => ({
                key,
                name,
                now: offer.now[key as keyof typeof NAMES] ?? 0,
                found: offer.found?.[key as keyof typeof NAMES] ?? 0,
            })),
    );
    const said = (key: string, value: number) => (key === 'cost' ? money(value) : String(value));

    function take(): void {
        if (offer.document) void desk.replace(offer.document);
        ontaken?.();
    }
</script>

<table class="table-plain mt-1">
    <thead><tr><th>Whole job</th><th class="num">Now</th><th class="num">{word}</th></tr></thead>
    <tbody>
        {#each rows as row (row.key)}
            <tr>
                <td>{row.name}</td><td class="figure num">{said(row.key, row.now)}</td>
                <td class="figure num {row.found < row.now ? 'font-medium' : ''}"
                    >{row.found < row.now ? '▾ ' : row.found > row.now ? '▴ ' : ''}{said(
                        row.key,
                        row.found,
                    )}</td
                >
            </tr>
        {/each}
    </tbody>
</table>
<p class="mt-2 flex flex-wrap items-center justify-between gap-2">
    <span class="text-quiet text-sm"
        >Taking it moves joints: marks and sheets follow, undo brings it back.</span
    >
    <Button look="main" onclick={take}>Take these cuts</Button>
</p>
