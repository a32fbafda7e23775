<script lang="ts">
    // An open end cut at a slant, as a tip is: the run is measured to its longest side.
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { SlantDocument, SlantPlan } from '@/lib/answers';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import Templates from '@/parts/templates.svelte';

    type Props = { desk: JobDesk; slant: SlantPlan; mayPlan: boolean };
    let { desk, slant, mayPlan }: Props = $props();

    const side = $derived(slant.isStart ? 'start' : 'end');
    const index = $derived(desk.document.runs.findIndex((run) => run.letter === slant.letter));
    const spec = $derived(desk.document.runs[index]?.[side].slant);
    const error = (field: string) => errorAt(desk.errors, `runs[${index}].${side}.slant.${field}`);

    function change(with_: (slant: SlantDocument) => void): void {
        void desk.edit((document) => {
            const one = document.runs[index]?.[side].slant;
            if (one) with_(one);
        });
    }

    function remove(): void {
        void desk.edit((document) => {
            const end = document.runs[index]?.[side];
            if (end) delete end.slant;
        });
    }
</script>

<section class="sheet p-3" aria-label="Slant of run {slant.letter}">
    <h2 class="heading">
        {slant.letter}
        <span class="text-quiet font-normal">{slant.isStart ? 'begins' : 'ends'} at a slant</span>
    </h2>
    <div class="border-line my-2 grid grid-cols-3 gap-3 border-y py-2">
        <p>
            <span class="label block">To the square cut</span>
            <span class="figure text-2xl font-medium">{slant.angle.text}</span>
        </p>
        <p>
            <span class="label block">Long side from top</span>
            <span class="figure text-2xl font-medium">{slant.turn.text}</span>
        </p>
        <p>
            <span class="label block">Longest to shortest</span>
            <span class="figure text-2xl font-medium">{slant.reach.text}</span>
        </p>
    </div>
    <p class="text-quiet text-sm">
        The run is measured to its longest side. Tips are looked at from the rear: make a pair mirror each
        other.
    </p>
    {#if mayPlan && spec}
        <div class="mt-2 grid grid-cols-3 gap-3">
            <TextField
                label="To the square cut, °"
                mono
                value={spec.angle}
                error={error('angle')}
                onchange={(value) => change((one) => (one.angle = value))}
            />
            <TextField
                label="Long side from top, °"
                mono
                value={spec.turn ?? 0}
                error={error('turn')}
                onchange={(value) => change((one) => (one.turn = value))}
            />
            <Button look="quiet" class="self-end justify-self-end" onclick={remove}>Cut it square</Button>
        </div>
    {/if}
</section>
<Templates {desk} marks={[slant.template]} />
