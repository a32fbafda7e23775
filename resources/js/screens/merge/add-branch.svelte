<script lang="ts">
    // A branch on the side of a run: a wastegate's take-off or return, a crossover, any other.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { Catalogue, EndDocument } from '@/lib/answers';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { nextLetter } from './edits';

    type Props = { desk: JobDesk; catalogue: Catalogue; open: boolean; onadded: (key: string) => void };
    let { desk, catalogue, open = $bindable(), onadded }: Props = $props();

    const ways = [
        { id: 'out', name: 'out of it: take-off' },
        { id: 'in', name: 'into it: return' },
    ] as const;
    const routed = $derived(desk.plan.runs.filter((run) => run.run));
    let on = $state('');
    let way = $state<'out' | 'in'>('in');
    let name = $state('Wastegate return');
    let tube = $state('');
    let station = $state('');
    let fromTop = $state('90°');
    let angle = $state('45°');
    let stub = $state('');

    $effect(() => {
        if (!open) return;
        const main = routed[0];
        on = main?.letter ?? '';
        tube = catalogue.tubes.find((one) => one.id.startsWith('T1.500'))?.id ?? catalogue.tubes[0]?.id ?? '';
        station = main?.run ? `${(main.run.length.value / 2).toFixed(0)} mm` : '';
        stub = main?.tube ? `${(main.tube.od.value * 1.75).toFixed(0)} mm` : '';
    });

    async function add(): Promise<void> {
        const letter = nextLetter(desk.document);
        const end = (kind: EndDocument['kind'], called: string): EndDocument => ({
            kind,
            name: called,
            at: ['0 mm', '0 mm', '0 mm'],
            direction: [1, 0, 0],
            metal: desk.document.job.metal,
            wall: '.065 in',
        });
        const seated: EndDocument = {
            ...end('saddle', ''),
            saddle: { on, station, fromTop, angle, offset: '0 mm', seat: 'set-on', stub },
        };
        const far = end('open', way === 'out' ? 'End of the branch' : 'Beginning of the branch');
        await desk.edit((document) => {
            document.runs.push({
                letter,
                name,
                tube,
                start: way === 'out' ? seated : far,
                end: way === 'out' ? far : seated,
                route: null,
                fittings: [],
            });
        });
        open = false;
        onadded(`${letter} ${way === 'out' ? 'start' : 'end'}`);
    }
</script>

<Dialog
    bind:open
    title="A branch on the side of a run"
    text="Its angle is between both flows: a small one goes with the flow. It begins as a straight stub."
>
    <form
        class="grid gap-3 sm:grid-cols-2"
        onsubmit={(event) => {
            event.preventDefault();
            void add();
        }}
    >
        <TextField label="Called" value={name} onchange={(value) => (name = value)} />
        <SelectField
            label="On run"
            value={on}
            options={routed.map((run) => ({ id: run.letter, name: `${run.letter}, ${run.name}` }))}
            onchange={(value) => (on = value)}
        />
        <SelectField
            label="The gas goes"
            value={way}
            options={[...ways]}
            onchange={(value) => (way = value)}
        />
        <SelectField
            label="Tube"
            value={tube}
            options={catalogue.tubes.map(({ id, name }) => ({ id, name }))}
            onchange={(value) => (tube = value)}
        />
        <TextField label="Along the run" mono value={station} onchange={(value) => (station = value)} />
        <TextField
            label="From the top, clockwise with the flow"
            mono
            value={fromTop}
            onchange={(value) => (fromTop = value)}
        />
        <TextField label="Angle between the flows" mono value={angle} onchange={(value) => (angle = value)} />
        <TextField
            label="Reaches from the centreline by"
            mono
            value={stub}
            onchange={(value) => (stub = value)}
        />
        <Button look="main" type="submit" class="self-end justify-self-start">Add it</Button>
    </form>
</Dialog>
