<script lang="ts">
    // What is in the bottles: as read, less what was welded since; a gauge is read or a full bottle put on here.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Bottle } from '@/lib/answers';
    import { said, send } from '@/lib/http';
    import { when } from '@/lib/when';
    import NewBottle from './new-bottle.svelte';

    type Props = { bottles: Bottle[]; askedAt: number; isReader: boolean; isOwner: boolean };
    /** `askedAt`: when the page asked for the bottles it has. */
    let { bottles, askedAt, isReader, isOwner }: Props = $props();

    /** As a change made here left them. */
    let own = $state.raw<{ all: Bottle[]; at: number } | null>(null);
    // An answer that was asked for before the change knows nothing of it.
    const shown = $derived(own && own.at >= askedAt ? own.all : bottles);

    function changed(all: Bottle[]): void {
        own = { all, at: performance.now() };
    }
    let reading = $state('');
    let gauge = $state('');
    let wrong = $state('');

    function begin(bottle: Bottle): void {
        [reading, gauge, wrong] = [bottle.name, '', ''];
    }

    async function change(method: 'PUT' | 'DELETE', body: Record<string, string>): Promise<void> {
        const reply = await send(method, '/bottles', 'Bottles', body);
        if (!reply.ok) return void (wrong = said(reply));
        changed(reply.data.bottles);
        reading = '';
    }
</script>

<section class="sheet p-3" aria-label="Argon">
    <h2 class="heading">Argon</h2>
    {#each shown as bottle (bottle.name)}
        <div class="mt-2 grid grid-cols-[1.5rem_1fr] gap-3">
            <div
                class="border-ink relative h-16 overflow-hidden rounded-t-full border"
                role="img"
                aria-label="{Math.round(100 * bottle.share)} % full"
            >
                <div class="bg-strong absolute inset-x-0 bottom-0" style:height="{100 * bottle.share}%"></div>
            </div>
            <div>
                <p class="font-label flex flex-wrap items-baseline justify-between gap-x-2 font-semibold">
                    {bottle.name} bottle
                    {#if isReader && reading !== bottle.name}
                        <Button
                            look="quiet"
                            aria-label="Read the gauge: {bottle.name}"
                            onclick={() => begin(bottle)}>Read the gauge</Button
                        >
                    {/if}
                </p>
                <p class="figure text-sm">
                    {bottle.read && bottle.read.gauge !== bottle.gauge ? 'about ' : ''}{bottle.gauge} on the gauge
                </p>
                <p class="figure text-sm">{bottle.usable} to use</p>
                {#if bottle.read}
                    <p class="text-quiet text-sm">
                        {bottle.read.gauge} read {when(bottle.read.at)}{bottle.read.gauge === bottle.gauge
                            ? ''
                            : ', less what was welded since'}
                    </p>
                {/if}
            </div>
        </div>
        {#if reading === bottle.name}
            <form
                class="mt-2 space-y-2"
                onsubmit={(event) => {
                    event.preventDefault();
                    void change('PUT', { name: bottle.name, gauge });
                }}
            >
                <TextField
                    label="On the gauge now"
                    mono
                    required
                    placeholder={bottle.gauge}
                    value={gauge}
                    error={wrong}
                    oninput={(event) => (gauge = event.currentTarget.value)}
                />
                <div class="flex flex-wrap gap-2">
                    <Button look="main" type="submit">Save</Button>
                    <Button onclick={() => void change('PUT', { name: bottle.name, gauge: bottle.full })}
                        >A full one was put on</Button
                    >
                    {#if isOwner}
                        <Button onclick={() => void change('DELETE', { name: bottle.name })}
                            >Take it away</Button
                        >
                    {/if}
                    <Button look="quiet" onclick={() => (reading = '')}>Leave it</Button>
                </div>
            </form>
        {/if}
    {:else}
        <p class="text-quiet mt-1">No bottles are entered yet: nothing is known of what is left.</p>
    {/each}
    {#if isOwner}<NewBottle onadded={changed} />{/if}
</section>
