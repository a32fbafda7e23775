<script lang="ts">
    import { router } from '@inertiajs/svelte';
    import { onMount, untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import { JobDesk } from '@/lib/job-desk.svelte';
    import { cameBack } from '@/lib/history';
    import { followLog } from '@/lib/follow-log';
    import { onKeys, type Keys } from '@/lib/keys';
    import { logQueue } from '@/lib/log-queue';
    import type { Catalogue, JobView, Person, Stage } from '@/lib/answers';
    import { toggleTheme } from '@/lib/theme.svelte';
    import DeleteJob from '@/parts/delete-job.svelte';
    import type FindDialog from '@/parts/find-dialog.svelte';
    import { runAt, stageOf, STAGES } from '@/lib/places';
    import MadeBefore from '@/parts/made-before.svelte';
    import JobPlate from '@/parts/job-plate.svelte';
    import RunTabs from '@/parts/run-tabs.svelte';
    import KeysDialog from '@/parts/keys-dialog.svelte';
    import ConflictDialog from './conflict-dialog.svelte';
    import SaveBar from './save-bar.svelte';
    import StageTabs from './stage-tabs.svelte';
    import { STAGE_SCREENS } from './stages';

    type Props = {
        stage: Stage;
        job: JobView;
        catalogue: Catalogue;
        person: Person;
    };
    let { stage, job, catalogue, person }: Props = $props();

    const desk = new JobDesk(
        untrack(() => job),
        untrack(() => person.name),
    );
    let keysOpen = $state(false);
    let findOpen = $state(false);
    let Find = $state.raw<typeof FindDialog | null>(null);

    // A fresh view arrives after a release, a revision or a change of units; edits in flight are never overwritten by an old one.
    $effect(() => {
        const arrived = job;
        untrack(() => {
            if (desk.isNews(arrived)) desk.open(arrived);
        });
    });

    // Entries that were taken, from this tab or another, change where the job stands on every stage.
    $effect(() => logQueue.ontaken((job, progress) => job === desk.view.id && desk.takeProgress(progress)));

    $effect(() => followLog(desk));

    // Coming back through the browser's history brings the props of then.
    onMount(() => {
        // Not a part of the first view, but there before a hand gets to its key.
        void import('@/parts/find-dialog.svelte').then((found) => (Find = found.default));
        if (cameBack()) router.reload({ only: ['job'] });
        if (person.plans) desk.takeUpUnsaved();
        const online = () => {
            if (desk.saveState === 'failed') void desk.retry();
        };
        window.addEventListener('online', online);
        return () => window.removeEventListener('online', online);
    });

    /** Goes to the screen that a refused field is on and puts the cursor there. */
    async function showField(path: string): Promise<void> {
        const run = runAt(path);
        if (run !== null) desk.index = run;
        goTo(stageOf(path, desk.document));
        for (let tries = 0; tries < 40; tries++) {
            const field = document.querySelector<HTMLElement>(
                'main [aria-invalid="true"], main [data-refused]',
            );
            if (field) {
                field.scrollIntoView({ block: 'center' });
                field.focus();
                return;
            }
            await new Promise((resolve) => setTimeout(resolve, 50));
        }
    }

    const screen = $derived(STAGE_SCREENS[stage]());
    /** Stages that show what no longer fits; the release page shows it in full. */
    const MADE_AT: Stage[] = ['route', 'merge', 'cut', 'fit', 'weld', 'bench'];
    /** Stages that a release fixes. */
    const FIXED_AT: Stage[] = ['intake', 'survey', 'route', 'merge', 'cut', 'fit', 'weld'];
    /** At the bench the release counts, also beside a draft; after entries were taken its answer is the newer one. */
    const made = $derived(
        desk.isDraft && stage !== 'bench'
            ? desk.view.made
            : desk.view.bench
              ? desk.view.bench.made
              : desk.view.made,
    );

    function goTo(next: Stage): void {
        if (next === stage) return;
        router.push({
            url: `/jobs/${desk.view.id}/${next}`,
            component: 'job/job',
            props: (props) => ({ ...props, stage: next }),
            preserveState: true,
        });
    }

    /** Where what is next is done; there at once, where the page can do it. */
    function takeNext(): void {
        if (desk.view.next.stage === 'route') desk.bidden = desk.view.next.group;
        goTo(desk.view.next.stage);
    }

    function step(by: number): void {
        const runs = ['survey', 'route', 'merge'].includes(stage) ? [desk.run] : desk.shown;
        const ids = runs.flatMap((run) => run?.joints ?? []).map((joint) => joint.id);
        const at =
            desk.selection?.kind === 'joint' ? ids.indexOf(desk.selection.id) : by > 0 ? -1 : ids.length;
        const next = ids[Math.min(Math.max(at + by, 0), ids.length - 1)];
        if (next) desk.selection = { kind: 'joint', id: next };
    }

    function changeUnits(): void {
        const next = desk.view.units === 'inch' ? 'metric' : 'inch';
        if (desk.isDraft && person.plans) void desk.edit((document) => (document.job.units = next));
        else router.reload({ only: ['job'], data: { units: next } });
    }

    async function revise(): Promise<void> {
        if (await desk.revise())
            router.visit(`/jobs/${desk.view.id}/${['bench', 'release'].includes(stage) ? 'route' : stage}`);
    }

    const keys: Keys = {
        ...Object.fromEntries(STAGES.map((name, i) => [String(i), () => goTo(name)])),
        r: () => router.visit('/'),
        j: () => step(1),
        k: () => step(-1),
        u: changeUnits,
        t: toggleTheme,
        '/': () => (findOpen = true),
        '?': () => (keysOpen = true),
        'mod+z': () => void desk.undo(),
        'mod+shift+z': () => void desk.redo(),
        'mod+y': () => void desk.redo(),
    };
</script>

<svelte:head><title>{desk.document.job.number} {stage} · Upswept Bead</title></svelte:head>
<svelte:window onkeydown={onKeys(keys)} />

<div class="flex min-h-screen flex-col gap-2 p-2">
    <JobPlate {desk} onnext={takeNext} />
    <StageTabs {stage} {desk} onstage={goTo}>
        {#if desk.isDraft && person.plans}
            {#if desk.revision.number === 1}
                <DeleteJob job={desk.view.id} number={desk.document.job.number} />
            {/if}
            <Button look="quiet" disabled={!desk.canUndo} onclick={() => desk.undo()}>Undo</Button>
            <Button look="quiet" disabled={!desk.canRedo} onclick={() => desk.redo()}>Redo</Button>
            {#if stage !== 'release'}
                <Button
                    onclick={() => goTo('release')}
                    disabled={desk.problems > 0 || desk.unsaved}
                    title={desk.problems > 0 ? 'Solve the problems first' : ''}
                    >Look over rev {desk.revision.number}</Button
                >
            {/if}
        {:else if person.plans}
            <Button onclick={revise}>Begin rev {desk.revision.number + 1}</Button>
        {/if}
        <Button look="quiet" onclick={changeUnits}
            >{desk.view.units === 'inch' ? 'in' : 'mm'} <span class="key">u</span></Button
        >
        <Button look="quiet" onclick={() => (keysOpen = true)} aria-label="Keys"
            ><span class="key">?</span></Button
        >
    </StageTabs>
    <SaveBar {desk} onfield={showField} />
    {#if desk.releasedSince > 0}
        <p class="sheet flex flex-wrap items-center gap-3 px-3 py-2" role="alert">
            <span>△ Rev {desk.releasedSince} was released meanwhile. This page shows the one before it.</span>
            <Button onclick={() => location.reload()}>Open rev {desk.releasedSince}</Button>
        </p>
    {/if}
    {#if !desk.isDraft && person.plans && FIXED_AT.includes(stage)}
        <p class="text-quiet flex flex-wrap items-center gap-x-3 px-1">
            <span
                >Rev {desk.revision.number} is released and fixed: the bench works by it. A change makes the next
                revision.</span
            >
            <Button look="quiet" onclick={revise}>Begin rev {desk.revision.number + 1} here</Button>
        </p>
    {/if}
    {#if made && MADE_AT.includes(stage)}<MadeBefore {made} />{/if}
    {#if desk.members.length > 1 && !['intake', 'bench', 'merge'].includes(stage) && !(stage === 'route' && desk.plan.runs.some((run) => run.run))}
        <RunTabs {desk} filters={stage !== 'survey' && stage !== 'route'} />
    {/if}
    <main class="flex min-h-0 grow flex-col gap-2">
        {#await screen}
            <p class="text-quiet p-6">Loading…</p>
        {:then { default: StageScreen }}
            <StageScreen
                {desk}
                {catalogue}
                mayPlan={desk.isDraft && person.plans}
                mayLog={person.logs}
                isPlanner={person.plans}
                onstage={goTo}
            />
        {:catch}
            <p class="sheet p-6">
                This stage did not load. <a class="text-action underline" href="/jobs/{desk.view.id}/{stage}"
                    >Load it again</a
                >
            </p>
        {/await}
    </main>
</div>

<KeysDialog bind:open={keysOpen} />
{#if Find}<Find bind:open={findOpen} {desk} onstage={goTo} />{/if}
<ConflictDialog {desk} />
