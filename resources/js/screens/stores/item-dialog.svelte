<script lang="ts">
    // One item: what came, went or was counted, and where it lies.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Person, StoreEntry, StoreItem } from '@/lib/answers';
    import { said, send } from '@/lib/http';
    import { much } from '@/lib/much';
    import { when } from '@/lib/when';

    type Props = { item: StoreItem | null; person: Person; onclose: () => void; onchanged: () => void };
    let { item, person, onclose, onchanged }: Props = $props();

    const MOVES = [
        { kind: 'received', word: 'Came in' },
        { kind: 'counted', word: 'Counted' },
        { kind: 'issued', word: 'For a job' },
    ] as const;
    const WORDS = {
        received: 'came in',
        counted: 'counted',
        issued: 'taken',
        'put back': 'put back',
        'written off': 'written off',
        returned: 'left over',
    };

    let current = $state.raw<StoreItem | null>(null);
    let entries = $state.raw<StoreEntry[]>([]);
    let move = $state<'received' | 'counted' | 'issued'>('received');
    let quantity = $state('');
    let job = $state('');
    let note = $state('');
    let failure = $state('');
    let kept = $state({ location: '', cost: '', reorderAt: '', reorderTo: '' });
    // The same entry however often it is pressed.
    let id = crypto.randomUUID();

    $effect(() => {
        if (item) take(item);
    });

    const kg = $derived(current?.kind === 'wire' ? ' kg' : '');
    const text = (value: number | null) => (value === null ? '' : String(value));

    function take(next: StoreItem): void {
        current = next;
        kept = {
            location: next.location,
            cost: text(next.cost),
            reorderAt: text(next.reorderAt),
            reorderTo: text(next.reorderTo),
        };
        [quantity, note, failure] = ['', '', ''];
        id = crypto.randomUUID();
        void load(next.id);
    }

    async function load(of: number): Promise<void> {
        const reply = await send('GET', `/stores/items/${of}/entries`, 'StoreEntries');
        if (reply.ok && current?.id === of) entries = reply.data.entries;
    }

    async function enter(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        if (!current) return;
        const body = { id, kind: move, quantity, note, ...(move === 'issued' ? { job } : {}) };
        const reply = await send('POST', `/stores/items/${current.id}/entries`, 'ItemChanged', body);
        failure = reply.ok ? '' : said(reply);
        if (!reply.ok) return;
        take(reply.data.item);
        onchanged();
    }

    async function keep(event: SubmitEvent): Promise<void> {
        event.preventDefault();
        if (!current) return;
        const reply = await send('PUT', `/stores/items/${current.id}`, 'ItemChanged', kept);
        failure = reply.ok ? '' : said(reply);
        if (!reply.ok) return;
        take(reply.data.item);
        onchanged();
    }
</script>

<Dialog
    bind:open={
        () => item !== null,
        (isOpen) => {
            if (!isOpen) onclose();
        }
    }
    wide
    title={current?.name ?? ''}
    text={current?.key ?? ''}
>
    {#if current}
        <dl class="flex flex-wrap gap-x-8 gap-y-1">
            <div>
                <dt class="label">On hand</dt>
                <dd class="figure text-xl">{much(current.onHand)}{kg}</dd>
            </div>
            <div>
                <dt class="label">Promised to jobs</dt>
                <dd class="figure text-xl">{much(current.promised)}</dd>
            </div>
            <div>
                <dt class="label">Free</dt>
                <dd class="figure text-xl">{much(current.free)}</dd>
            </div>
        </dl>
        <div class="mt-3 grid gap-4 md:grid-cols-2">
            <div class="space-y-4">
                {#if person.logs}
                    <form class="space-y-2" onsubmit={enter} aria-label="Change its quantity">
                        <div class="flex flex-wrap gap-1" role="group" aria-label="What happened">
                            {#each MOVES as one (one.kind)}
                                <button
                                    type="button"
                                    class="font-label min-h-9 rounded-[2px] border px-3 font-semibold {move ===
                                    one.kind
                                        ? 'bg-wash border-action'
                                        : 'border-line'}"
                                    aria-pressed={move === one.kind}
                                    onclick={() => (move = one.kind)}>{one.word}</button
                                >
                            {/each}
                        </div>
                        <div class="grid grid-cols-2 gap-2">
                            <TextField
                                label={(move === 'counted' ? 'There are' : 'How many') + (kg && ' (kg)')}
                                value={quantity}
                                mono
                                oninput={(e) => (quantity = e.currentTarget.value)}
                            />
                            {#if move === 'issued'}
                                <TextField
                                    label="Number of the job"
                                    value={job}
                                    oninput={(e) => (job = e.currentTarget.value)}
                                />
                            {/if}
                        </div>
                        <TextField
                            label="Note"
                            value={note}
                            oninput={(e) => (note = e.currentTarget.value)}
                        />
                        <Button look="main" type="submit" disabled={quantity.trim() === ''}
                            >Set it down</Button
                        >
                    </form>
                {/if}
                {#if person.plans}
                    <form
                        class="border-line grid grid-cols-2 gap-2 border-t pt-3"
                        onsubmit={keep}
                        aria-label="Place and price"
                    >
                        <TextField
                            label="Place"
                            value={kept.location}
                            oninput={(e) => (kept.location = e.currentTarget.value)}
                        />
                        <TextField
                            label="Price of one"
                            value={kept.cost}
                            mono
                            oninput={(e) => (kept.cost = e.currentTarget.value)}
                        />
                        <TextField
                            label="Order at"
                            value={kept.reorderAt}
                            mono
                            oninput={(e) => (kept.reorderAt = e.currentTarget.value)}
                        />
                        <TextField
                            label="Order up to"
                            value={kept.reorderTo}
                            mono
                            oninput={(e) => (kept.reorderTo = e.currentTarget.value)}
                        />
                        <div><Button type="submit">Keep these</Button></div>
                    </form>
                {/if}
                {#if failure}<p class="text-stop" role="alert">✕ {failure}</p>{/if}
            </div>
            <div class="min-w-0">
                <h3 class="label">What happened to it</h3>
                <!-- svelte-ignore a11y_no_noninteractive_tabindex (a scrolling list must be reachable by keyboard) -->
                <ol class="divide-line max-h-72 divide-y overflow-auto" tabindex="0" aria-label="Entries">
                    {#each entries as entry (entry.id)}
                        <li class="flex items-baseline justify-between gap-3 py-1">
                            <span class="min-w-0"
                                >{WORDS[entry.kind]}{entry.job ? ` for ${entry.job}` : ''}
                                <span class="text-quiet block text-sm"
                                    >{entry.by}, {when(entry.at)}{entry.note ? `: ${entry.note}` : ''}</span
                                ></span
                            >
                            <span class="figure shrink-0"
                                >{entry.quantity > 0 ? '+' : ''}{much(entry.quantity)}</span
                            >
                        </li>
                    {:else}
                        <li class="text-quiet py-1">Nothing yet.</li>
                    {/each}
                </ol>
            </div>
        </div>
    {/if}
</Dialog>
