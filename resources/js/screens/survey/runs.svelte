<script lang="ts">
    // More than one run: pasted, in a row, like the last, or the other bank.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import type { RunDocument } from '@/lib/answers';
    import { endName, forget } from '@/lib/readings';
    import { change, type Errors } from '@/lib/survey';
    import PasteDialog from './paste-dialog.svelte';

    type Props = { desk: JobDesk; mayPlan: boolean };
    let { desk, mayPlan }: Props = $props();

    let pasting = $state(false);
    let asking = $state<'row' | 'mirror' | null>(null);
    let spacings = $state('');
    let along = $state('rearward');
    let plane = $state('');
    let errors = $state.raw<Errors>({});
    const letters = [...'ABCDEFGHIJKLMNOP'];
    const axes: Record<string, [number, number, number]> = {
        rearward: [1, 0, 0],
        forward: [-1, 0, 0],
        right: [0, 1, 0],
        left: [0, -1, 0],
    };
    const free = $derived(letters.find((one) => !desk.document.runs.some((run) => run.letter === one)));
    const firstError = $derived(Object.values(errors)[0]?.[0] ?? '');

    async function add(): Promise<void> {
        const letter = free;
        const last = desk.document.runs.at(-1);
        if (!letter || !last) return;
        await desk.edit((document) => {
            const copy = structuredClone(last) as RunDocument;
            document.runs.push({ ...copy, letter, name: '', route: null, fittings: [] });
        });
        desk.choose(letter);
    }

    async function remove(): Promise<void> {
        const letter = desk.entered?.letter;
        if (!letter || desk.document.runs.length < 2) return;
        desk.index = 0;
        await desk.edit((document) => {
            document.runs = document.runs.filter((run) => run.letter !== letter);
            for (const group of [...document.set.collectors, ...document.set.lengths]) {
                group.runs = group.runs.filter((one) => one !== letter);
                if ('firing' in group) group.firing = group.firing.filter((one) => one !== letter);
            }
            forget(document, (name) => [endName(letter, true), endName(letter, false)].includes(name));
        });
    }

    async function put(): Promise<void> {
        const wishes =
            asking === 'row'
                ? {
                      letter: desk.entered?.letter,
                      axis: axes[along],
                      spacings: spacings
                          .split(/[;,]|\s{2,}/)
                          .map((one) => one.trim())
                          .filter((one) => one !== ''),
                  }
                : { plane };
        if (!asking) return;
        errors = await change(desk, asking, wishes);
        if (Object.keys(errors).length === 0) asking = null;
    }

    function ask(what: 'row' | 'mirror'): void {
        errors = {};
        asking = what;
    }
</script>

{#if mayPlan}
    <div class="flex flex-wrap gap-2">
        <Button onclick={() => (pasting = true)}>Paste ports</Button>
        <Button onclick={() => ask('row')}>Ports in a row</Button>
        <Button onclick={() => ask('mirror')}>Mirror to the other bank</Button>
        <Button onclick={add} disabled={!free}
            >Add a run like {desk.document.runs.at(-1)?.letter ?? 'A'}</Button
        >
        {#if desk.document.runs.length > 1}
            <Button look="quiet" onclick={remove}>Remove run {desk.entered?.letter}</Button>
        {/if}
    </div>
{/if}
<PasteDialog {desk} bind:open={pasting} />
<Dialog
    bind:open={() => asking !== null, (isOpen) => (asking = isOpen ? asking : null)}
    title={asking === 'row' ? 'Ports in a row' : 'Mirror to the other bank'}
    text={asking === 'row'
        ? `From port ${desk.entered?.letter ?? 'A'} on, one spacing for each port after it. Ports that are missing are made, with the same tube, direction and end.`
        : 'Every run a second time, with its end and its route, mirrored in an upright plane that runs fore and aft.'}
>
    <form
        class="space-y-3"
        onsubmit={(event) => {
            event.preventDefault();
            void put();
        }}
    >
        {#if asking === 'row'}
            <TextField
                label="Spacings, from centre to centre, parted by commas"
                mono
                value={spacings}
                error={firstError}
                placeholder="91 mm, 91 mm, 91 mm"
                onchange={(value) => (spacings = value)}
            />
            <SelectField
                label="The row runs"
                value={along}
                options={Object.keys(axes).map((id) => ({ id, name: id }))}
                onchange={(value) => (along = value)}
            />
        {:else}
            <TextField
                label="The plane stands right of the datum by"
                mono
                value={plane}
                error={firstError}
                placeholder="-210 mm"
                onchange={(value) => (plane = value)}
            />
        {/if}
        <Button look="main" type="submit">{asking === 'row' ? 'Set them' : 'Mirror'}</Button>
    </form>
</Dialog>
