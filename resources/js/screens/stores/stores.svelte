<script lang="ts">
    import { untrack } from 'svelte';
    import { router } from '@inertiajs/svelte';
    import Button from '@/kit/button.svelte';
    import type { ItemKind, Person, StoreItem, StoresPage } from '@/lib/answers';
    import { money } from '@/lib/money';
    import { onKeys } from '@/lib/keys';
    import { much } from '@/lib/much';
    import { toggleTheme } from '@/lib/theme.svelte';
    import ShopHead from '@/parts/shop-head.svelte';
    import AddItem from './add-item.svelte';
    import CountTable from './count-table.svelte';
    import ItemDialog from './item-dialog.svelte';
    import Reorder from './reorder.svelte';

    type Props = {
        shop: string;
        find: string;
        kind: ItemKind | null;
        stores: StoresPage;
        reorder: StoreItem[];
        person: Person;
    };
    let { shop, find, kind, stores, reorder, person }: Props = $props();

    const TYPING_MS = 250;

    let words = $state(untrack(() => find));
    let finder: HTMLInputElement | undefined = $state();
    let keys = $state(false);
    let adding = $state(false);
    let counting = $state(false);
    let opened = $state<StoreItem | null>(null);
    let timer: ReturnType<typeof setTimeout> | undefined;

    function look(change: { kind?: ItemKind | null; page?: number } = {}): void {
        clearTimeout(timer);
        const of = change.kind === undefined ? kind : change.kind;
        const data = {
            ...(words.trim() ? { find: words.trim() } : {}),
            ...(of ? { kind: of } : {}),
            ...((change.page ?? 1) > 1 ? { page: change.page } : {}),
        };
        router.get('/stores', data, {
            only: ['stores', 'reorder', 'find', 'kind'],
            preserveState: true,
            preserveScroll: true,
            replace: true,
        });
    }

    const again = () => router.reload({ only: ['stores', 'reorder'] });
    const chip = (isOn: boolean) =>
        `font-label min-h-9 rounded-[2px] border px-3 text-[0.95rem] font-semibold ${isOn ? 'bg-wash border-action' : 'bg-sheet border-line hover:border-ink'}`;
    const all = $derived(stores.kinds.reduce((sum, one) => sum + one.items, 0));
</script>

<svelte:head><title>Stores · Upswept Bead</title></svelte:head>
<svelte:window onkeydown={onKeys({ '/': () => finder?.focus(), '?': () => (keys = true), t: toggleTheme })} />

<ShopHead {shop} place="Stores" {person} bind:keys />

<main class="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 lg:grid-cols-[minmax(0,1fr)_19rem]">
    <section class="min-w-0 space-y-3" aria-label="What there is">
        <div class="flex flex-wrap items-end gap-3">
            <div class="min-w-48 grow">
                <label class="label block" for="find">Find an item <span class="key">/</span></label>
                <input
                    id="find"
                    bind:this={finder}
                    bind:value={words}
                    oninput={() => {
                        clearTimeout(timer);
                        timer = setTimeout(() => look(), TYPING_MS);
                    }}
                    class="bg-sheet border-strong w-full max-w-md rounded-[2px] border px-2 py-1"
                />
            </div>
            {#if person.plans}
                <Button onclick={() => (adding = true)}>Add an item</Button>
                <Button onclick={() => (counting = true)}>Count from a table</Button>
            {/if}
        </div>
        <div class="flex flex-wrap gap-1" role="group" aria-label="Kinds">
            <button
                type="button"
                class={chip(kind === null)}
                aria-pressed={kind === null}
                onclick={() => look({ kind: null })}>All <span class="figure text-sm">{all}</span></button
            >
            {#each stores.kinds as one (one.kind)}
                <button
                    type="button"
                    class={chip(kind === one.kind)}
                    aria-pressed={kind === one.kind}
                    onclick={() => look({ kind: one.kind })}
                    >{one.label} <span class="figure text-sm">{one.items}</span></button
                >
            {/each}
        </div>
        <div class="sheet">
            <table class="table-plain table-stack">
                <thead
                    ><tr
                        ><th>Item</th><th>Place</th><th class="num">On hand</th><th class="num">Promised</th
                        ><th class="num">Free</th><th class="num">Price</th></tr
                    ></thead
                >
                <tbody>
                    {#each stores.items as item (item.id)}
                        <tr>
                            <td data-label="Item" class="min-w-0"
                                ><button
                                    type="button"
                                    class="text-left underline decoration-dotted underline-offset-4"
                                    onclick={() => (opened = item)}>{item.name}</button
                                >
                                <span class="figure text-quiet block text-[0.8rem]">{item.key}</span></td
                            >
                            <td data-label="Place">{item.location || '–'}</td>
                            <td class="figure num" data-label="On hand">{much(item.onHand)}</td>
                            <td class="figure num text-quiet" data-label="Promised"
                                >{item.promised > 0 ? much(item.promised) : '–'}</td
                            >
                            <td
                                class="figure num {item.toReorder > 0 ? 'text-stop font-medium' : ''}"
                                data-label="Free"
                                >{item.toReorder > 0 ? '△ ' : ''}{much(item.free)} {item.unit}</td
                            >
                            <td class="figure num" data-label="Price">{money(item.cost)}</td>
                        </tr>
                    {:else}
                        <tr
                            ><td colspan="6"
                                >{find === '' && kind === null
                                    ? 'Nothing yet. Add an item, or count from a table.'
                                    : 'Nothing here goes by this.'}</td
                            ></tr
                        >
                    {/each}
                </tbody>
            </table>
        </div>
        {#if stores.pages > 1}
            <nav class="flex items-center gap-3" aria-label="Pages of the stores">
                <Button disabled={stores.page === 1} onclick={() => look({ page: stores.page - 1 })}
                    >← Before</Button
                >
                <p class="text-quiet figure">{stores.page} of {stores.pages}</p>
                <Button
                    disabled={stores.page === stores.pages}
                    onclick={() => look({ page: stores.page + 1 })}>After →</Button
                >
            </nav>
        {/if}
    </section>
    <aside class="space-y-3">
        <Reorder items={reorder} onopen={(item) => (opened = item)} />
        <section class="sheet space-y-1 p-3">
            <h2 class="heading">On paper</h2>
            <p>
                <a class="text-action underline underline-offset-4" href="/stores/stores.csv"
                    >All of it as CSV</a
                >
            </p>
            <p>
                <a class="text-action underline underline-offset-4" href="/stores/labels.pdf" target="_blank"
                    >Labels of the offcuts</a
                >
            </p>
        </section>
    </aside>
</main>

<AddItem bind:open={adding} onadded={again} />
<CountTable bind:open={counting} oncounted={again} />
<ItemDialog item={opened} {person} onclose={() => (opened = null)} onchanged={again} />
