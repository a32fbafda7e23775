<script lang="ts">
    // Routes from another program: a table of bends or of vertices, or an answer to the exported problem.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import type { RoutesRead } from '@/lib/answers';
    import { keepDesign, readRoutes, takeDesign } from '@/lib/designs';
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; open: boolean };
    let { desk, open = $bindable() }: Props = $props();

    let text = $state('');
    let read = $state.raw<RoutesRead | null>(null);
    let failure = $state('');
    let asked = 0;

    async function look(): Promise<void> {
        const mine = ++asked;
        const answer = text.trim() === '' ? null : await readRoutes(desk, text);
        if (mine !== asked) return;
        failure = typeof answer === 'string' ? answer : '';
        read = typeof answer === 'string' ? null : answer;
    }

    async function choose(file: File | undefined): Promise<void> {
        if (!file) return;
        text = file.size > 60_000 ? '' : await file.text();
        failure = file.size > 60_000 ? `The file has ${file.size} bytes; at most 60 000 are read.` : '';
        if (!failure) await look();
    }

    async function use(how: typeof takeDesign | typeof keepDesign): Promise<void> {
        if (!read?.design) return;
        open = false;
        await how(desk, read.design);
        [text, read] = ['', null];
    }
</script>

<Dialog
    bind:open
    wide
    title="Bring in routes"
    text="A table of bends (run, bend, straight, rotation, angle, clr) or of vertices (run, point, x, y, z, clr) with its headings, or an answer to the exported routing problem."
>
    <div class="flex flex-wrap items-end gap-3">
        <div class="grow">
            <label class="label block" for="routes-text">Table or answer</label>
            <textarea
                id="routes-text"
                class="bg-sheet border-strong figure h-36 w-full border p-2 text-[0.9rem]"
                placeholder="run,bend,straight_mm,rotation_deg,angle_deg,clr_mm"
                bind:value={text}
                oninput={look}></textarea>
        </div>
    </div>
    <label class="mt-1 flex items-center gap-3">
        <span class="label">or from a file</span>
        <input
            type="file"
            accept=".csv,.json,.txt,text/csv,application/json"
            onchange={(event) => void choose(event.currentTarget.files?.[0])}
        />
    </label>
    {#if failure}<p class="text-stop" role="alert">✕ {failure}</p>{/if}
    {#if read}
        <div class="mt-2 max-h-56 overflow-auto" role="region" aria-label="What it says">
            <table class="table-plain">
                <tbody>
                    {#each read.design?.runs ?? [] as run (run.letter)}
                        <tr>
                            <td class="font-label font-semibold">Run {run.letter}</td>
                            <td class="figure" colspan="2"
                                >{run.route.bends.length === 1
                                    ? '1 bend'
                                    : `${run.route.bends.length} bends`}</td
                            >
                        </tr>
                    {/each}
                    {#each read.rejected as one (one.line + one.why)}
                        <tr>
                            <td class="text-stop">✕ {one.line > 0 ? `line ${one.line}` : ''}</td>
                            <td class="figure">{one.text}</td>
                            <td class="text-stop">{one.why}</td>
                        </tr>
                    {/each}
                </tbody>
            </table>
        </div>
    {/if}
    <div class="mt-3 flex gap-3">
        <Button look="main" disabled={!read?.design} onclick={() => use(takeDesign)}>Put them in place</Button
        >
        <Button disabled={!read?.design} onclick={() => use(keepDesign)}>Keep them as a design</Button>
    </div>
</Dialog>
