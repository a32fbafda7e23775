<script lang="ts">
    import Button from '@/kit/button.svelte';
    import SearchField from '@/kit/search-field.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { tubeGroups } from './tube-groups';
    import { errorAt } from '@/lib/job-desk.svelte';
    import { lengthText } from '@/lib/length-text';
    import { newest } from '@/lib/newest';
    import type { JobDocument, PointText, Triple } from '@/lib/answers';
    import Notices from '@/parts/notices.svelte';
    import type { Grip } from '@/parts/viewport/handles';
    import Viewport from '@/parts/viewport/viewport.svelte';
    import type { StageProps } from '../job/stages';
    import type AgainDialog from './again-dialog.svelte';
    import Answer from './answer.svelte';
    import Datum from './datum.svelte';
    import EndForm from './end-form.svelte';
    import Engine from './engine.svelte';
    import Fittings from './fittings.svelte';
    import KeepOuts from './keep-outs.svelte';
    import Parts from '@/parts/line-parts.svelte';
    import Outlets from './outlets.svelte';
    import Readings from './readings.svelte';
    import Runs from './runs.svelte';
    import Together from './together.svelte';

    let { desk, catalogue, mayPlan, isPlanner, onstage }: StageProps = $props();

    let Again = $state.raw<typeof AgainDialog | null>(null);
    let asking = $state(false);
    async function askAgain(): Promise<void> {
        Again ??= (await import('./again-dialog.svelte')).default;
        asking = true;
    }

    const head = $derived(desk.document.job);
    const run = $derived(desk.entered);
    /** Letters of runs of another tube than the one that is entered. */
    const others = $derived(
        desk.document.runs.filter((one) => one.tube !== run?.tube).map(({ letter }) => letter),
    );
    const err = (path: string) => errorAt(desk.errors, path);
    const texts: { key: 'number' | 'title' | 'vehicle' | 'customer'; label: string }[] = [
        { key: 'number', label: 'Number' },
        { key: 'title', label: 'Title' },
        { key: 'vehicle', label: 'Vehicle' },
        { key: 'customer', label: 'Customer' },
    ];
    /** The chosen port, end or keep-out can be dragged where it stands. */
    const grip = $derived.by((): Grip | null => {
        if (desk.selection?.kind === 'end') {
            const [letter, side] = desk.selection.id.split('.');
            const plan = desk.plan.runs.find((one) => one.letter === letter);
            const at = (side === 'start' ? plan?.start : plan?.target)?.frame.at;
            return at ? { key: `end:${desk.selection.id}`, at, along: null } : null;
        }
        const name = desk.selection?.kind === 'keep-out' ? desk.selection.id : '';
        const solid = desk.plan.set.keepOuts.find((one) => one.name === name);
        return solid ? { key: `keep-out:${name}`, at: solid.at, along: null } : null;
    });

    const text = (mm: number) => lengthText(mm, desk.view.units);

    /** Puts what was dragged at a place; the other end of a bar comes along. */
    function placed(key: string, at: Triple) {
        return (document: JobDocument): void => {
            const [kind, id = ''] = key.split(/:(.*)/s);
            if (kind === 'end') {
                const [letter, side] = id.split('.');
                const run = document.runs.find((one) => one.letter === letter);
                const end = side === 'start' ? run?.start : run?.end;
                if (end) end.at = [text(at[0]), text(at[1]), text(at[2])];
                return;
            }
            const one = document.set.keepOuts.find((it) => it.name === id);
            const before = desk.plan.set.keepOuts.find((it) => it.name === id);
            if (!one || !before) return;
            const point = ([x, y, z]: Triple): PointText => [text(x), text(y), text(z)];
            const moved = ([x, y, z]: Triple): Triple => [
                x + at[0] - before.at[0],
                y + at[1] - before.at[1],
                z + at[2] - before.at[2],
            ];
            if (one.to) one.to = point(moved(before.to));
            one.at = point(at);
        };
    }

    const drag = newest(({ key, at }: { key: string; at: Triple }) => desk.preview(placed(key, at)));

    function ondrag(key: string, at: Triple, isDone: boolean): void {
        if (!isDone) void drag({ key, at });
        else void desk.edit(placed(key, at));
    }

    /** What is taken from a scan by a press on it. */
    let tap = $state.raw<{ on: string; take: (at: Triple) => void } | null>(null);

    const set = (change: (document: JobDocument) => void) => void desk.edit(change);
</script>

<div class="grid grow grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-[minmax(0,36rem)_1fr]">
    <div class="space-y-2">
        <section class="sheet grid gap-x-3 gap-y-2 p-3 sm:grid-cols-4" aria-label="The job">
            {#each texts as { key, label } (key)}
                <TextField
                    {label}
                    class={key === 'title' ? 'sm:col-span-3' : key === 'number' ? '' : 'sm:col-span-2'}
                    value={head[key]}
                    disabled={!mayPlan}
                    error={err(`job.${key}`)}
                    onchange={(value) => set((document) => (document.job[key] = value))}
                />
            {/each}
            <SelectField
                label="Purpose"
                class="sm:col-span-2"
                value={head.purpose}
                options={catalogue.purposes}
                disabled={!mayPlan}
                error={err('job.purpose')}
                onchange={(value) => set((document) => (document.job.purpose = value))}
            />
            <SelectField
                label="Metal"
                class="sm:col-span-2"
                value={head.metal}
                options={catalogue.metals}
                disabled={!mayPlan}
                error={err('job.metal')}
                onchange={(value) => set((document) => (document.job.metal = value))}
            />
            {#if run}
                <SearchField
                    label="Tube of run {run.letter}"
                    class="sm:col-span-2"
                    value={run.tube}
                    groups={tubeGroups(catalogue.tubes, desk.document.job.purpose)}
                    disabled={!mayPlan}
                    error={err(`${desk.path}.tube`)}
                    onchange={(value) => void desk.editRun((one) => (one.tube = value))}
                />
                {#if others.length > 0 && mayPlan}
                    <Button
                        class="self-end justify-self-start sm:order-last sm:col-span-4"
                        onclick={() =>
                            set((document) => {
                                for (const one of document.runs) one.tube = run.tube;
                            })}>Give every run this tube ({others.join(', ')} differ)</Button
                    >
                {/if}
                <TextField
                    label="Called"
                    class="sm:col-span-2"
                    value={run.name}
                    disabled={!mayPlan}
                    error={err(`${desk.path}.name`)}
                    onchange={(value) => void desk.editRun((one) => (one.name = value))}
                />
                <label class="flex min-h-9 items-center gap-2 sm:col-span-4">
                    <input
                        type="checkbox"
                        class="size-6"
                        checked={run.there ?? false}
                        disabled={!mayPlan}
                        onchange={(event) => {
                            const there = event.currentTarget.checked;
                            void desk.editRun((one) => {
                                if (there) one.there = true;
                                else delete one.there;
                            });
                        }}
                    />
                    There already: nothing of it is cut or fitted, only welded on
                </label>
            {/if}
            {#if isPlanner}
                <Button
                    class="justify-self-start sm:order-last sm:col-span-4"
                    look="quiet"
                    onclick={() => void askAgain()}>The same engine again</Button
                >
            {/if}
        </section>
        {#if run}
            <Datum />
            <EndForm {desk} {catalogue} {mayPlan} side="start" title="Start of run {run.letter}" />
            <EndForm {desk} {catalogue} {mayPlan} side="end" title="End of run {run.letter}" />
            <Readings {desk} {mayPlan} />
            <Runs {desk} {mayPlan} />
            <Fittings {desk} {catalogue} {mayPlan} />
            <Parts {desk} {mayPlan} />
            {#if desk.document.runs.length > 1}
                <Together {desk} {mayPlan} />
            {/if}
            <Engine {desk} {mayPlan} />
            <KeepOuts {desk} {catalogue} {mayPlan} ontapping={(next) => (tap = next)} />
            <Outlets {desk} {mayPlan} />
        {/if}
    </div>
    <div class="flex min-h-[30rem] flex-col gap-2 self-start lg:sticky lg:top-2 lg:h-[calc(100vh-9.5rem)]">
        {#if desk.run}
            {#if !(run?.end.free ?? false)}<Answer run={desk.run} />{/if}
            <div class="sheet relative flex grow flex-col">
                <Viewport {desk} withDatum grip={mayPlan ? grip : null} {ondrag} {tap} />
            </div>
        {/if}
        <Notices notices={desk.plan.notices.filter((notice) => !notice.path.includes('.route'))} />
        {#if desk.run && !desk.run.run}
            <Button look="main" onclick={() => onstage('route')}
                >{run?.end.free
                    ? 'Go on to Route and put the first piece on'
                    : 'Go on to Route and find a way'}</Button
            >
        {/if}
    </div>
</div>
{#if asking && Again}
    <Again {desk} bind:open={asking} />
{/if}
