<script lang="ts">
    // Ports as cells of a spreadsheet: what each line would become, and why some would not, before anything changes.
    import Button from '@/kit/button.svelte';
    import Dialog from '@/kit/dialog.svelte';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import { readPaste } from '@/lib/survey';
    import type { Pasted, RunDocument } from '@/lib/answers';

    type Props = { desk: JobDesk; open: boolean };
    let { desk, open = $bindable() }: Props = $props();

    let text = $state('');
    let read = $state.raw<Pasted | null>(null);
    let failure = $state('');
    let asked = 0;
    const letters = [...'ABCDEFGHIJKLMNOP'];

    async function look(): Promise<void> {
        const mine = ++asked;
        const answer = text.trim() === '' ? null : await readPaste(desk, text);
        if (mine !== asked) return;
        failure = typeof answer === 'string' ? answer : '';
        read = typeof answer === 'string' ? null : answer;
    }

    async function put(): Promise<void> {
        const rows = read?.rows ?? [];
        const like = desk.document.runs[0];
        if (!like || rows.length === 0) return;
        open = false;
        desk.index = 0;
        await desk.edit((document) => {
            document.runs = rows.map((row, i): RunDocument => {
                const run = structuredClone(document.runs[i] ?? like);
                run.letter = letters[i] ?? 'Z';
                run.start.name = row.name || `Port ${i + 1}`;
                run.start.at = row.at;
                run.start.direction = row.direction;
                if (row.inletAt && row.inletDirection) {
                    run.end.at = row.inletAt;
                    run.end.direction = row.inletDirection;
                }
                if (!document.runs[i]) Object.assign(run, { name: '', fittings: [] });
                run.route = null;
                return run;
            });
            const there = document.runs.map((run) => run.letter);
            for (const group of [...document.set.collectors, ...document.set.lengths]) {
                group.runs = group.runs.filter((letter) => there.includes(letter));
                if ('firing' in group) group.firing = group.firing.filter((letter) => there.includes(letter));
            }
        });
        text = '';
        read = null;
    }
</script>

<Dialog
    bind:open
    wide
    title="Paste ports"
    text="One line each: a name, three lengths for the place (rearward, right, up), three numbers for the way the gas leaves. Six more columns give the inlet it goes to."
>
    <label class="label block" for="pasted">Cells</label>
    <textarea
        id="pasted"
        class="bg-sheet border-strong figure h-36 w-full border p-2 text-[0.9rem]"
        placeholder="Port 1, 0, 0, 0, 0, 0.985, -0.174"
        bind:value={text}
        oninput={look}></textarea>
    {#if failure}<p class="text-stop" role="alert">✕ {failure}</p>{/if}
    {#if read}
        <div class="mt-2 max-h-64 overflow-auto" role="region" aria-label="What the cells say">
            <table class="table-plain">
                <tbody>
                    {#each read.rows as row, i (row.line)}
                        <tr>
                            <td class="figure">{letters[i]}</td>
                            <td>{row.name}</td>
                            <td class="figure num">{row.at.join(' · ')}</td>
                            <td class="figure num">{row.direction.join(' · ')}</td>
                            <td class="figure num">{row.inletAt?.join(' · ') ?? 'inlet as it is'}</td>
                        </tr>
                    {/each}
                    {#each read.rejected as one (one.line)}
                        <tr>
                            <td class="text-stop">✕ {one.line}</td>
                            <td class="figure" colspan="2">{one.text}</td>
                            <td class="text-stop" colspan="2">{one.why}</td>
                        </tr>
                    {/each}
                </tbody>
            </table>
        </div>
    {/if}
    <div class="mt-3 flex items-center gap-3">
        <Button look="main" disabled={!read || read.rows.length === 0} onclick={put}
            >Put {read?.rows.length ?? 0} runs in place of what is there</Button
        >
        {#if read && read.rejected.length > 0}
            <p class="text-stop">
                {read.rejected.length === 1 ? '1 line is' : `${read.rejected.length} lines are`} left out
            </p>
        {/if}
    </div>
</Dialog>
