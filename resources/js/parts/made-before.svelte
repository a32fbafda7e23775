<script lang="ts">
    // What was made by an earlier revision and no longer fits: in what, and how to go on.
    import { untrack } from 'svelte';
    import type { Made } from '@/lib/answers';
    import { money } from '@/lib/money';

    type Props = { made: Made; open?: boolean };
    let { made, open = false }: Props = $props();
    let isOpen = $state(untrack(() => open));

    const counted = (many: number, one: string) =>
        many === 0 ? [] : [`${many} ${one}${many === 1 ? '' : 's'}`];
    const what = $derived(
        [...counted(made.pieces.length, 'piece'), ...counted(made.joints.length, 'joint')].join(' and '),
    );
    const all = $derived([
        ...made.pieces.map(({ mark, lines }) => ({ name: mark, lines })),
        ...made.joints.map(({ id, lines }) => ({ name: id, lines })),
    ]);
    const names = $derived(all.map(({ name }) => name).join(', '));
</script>

<details class="sheet border-stop border-l-4" bind:open={isOpen}>
    <summary class="flex min-h-(--tap) cursor-pointer flex-wrap items-center gap-x-3 px-3 py-1.5">
        <span class="font-medium"
            >△ {what} made already {all.length === 1 ? 'does' : 'do'} not fit: {names}</span
        >
        <span class="text-quiet grow text-sm">
            {made.work} of work lost{made.cost === null
                ? ''
                : `, about ${money(made.cost)} with the stock${made.isPriced ? '' : ' that has a price'}`}
        </span>
        <span class="text-action text-sm underline">{isOpen ? 'Fold away' : 'How to go on'}</span>
    </summary>
    <ul class="grid gap-x-6 gap-y-2 px-3 pb-3 lg:grid-cols-2">
        {#each all as one (one.name)}
            <li class="border-line border-l-2 pl-3">
                <p>{one.lines[0]}</p>
                {#each one.lines.slice(1) as way (way)}<p class="text-quiet">{way}</p>{/each}
            </li>
        {/each}
    </ul>
</details>
