<script lang="ts">
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { Lockable, RouteDocument, RowDocument } from '@/lib/answers';
    import type { RunPlan } from '@/lib/answers';
    import HandTools from './hand-tools.svelte';
    import Lock from './lock.svelte';
    import PieBend from './pie-bend.svelte';

    type Props = { desk: JobDesk; run: RunPlan; mayPlan: boolean };
    let { desk, run, mayPlan }: Props = $props();

    type Cell = 'straight' | 'rotation' | 'angle' | 'clr';
    const route = $derived(desk.entered?.route ?? null);
    const chosen = $derived(desk.selection?.kind === 'bend' ? Number(desk.selection.id) : 0);
    const columns: { key: Cell; label: string }[] = [
        { key: 'straight', label: 'Straight before' },
        { key: 'rotation', label: 'Turn' },
        { key: 'angle', label: 'Bend' },
        { key: 'clr', label: 'Radius' },
    ];

    /** What was typed if it says so, the core's text for a computed number. */
    function shown(i: number, key: Cell): string {
        const written = route?.bends[i]?.[key];
        return typeof written === 'string'
            ? written
            : (run.run?.bends[i]?.[key].text ?? String(written ?? ''));
    }
    const shownEnd = $derived(
        typeof route?.endStraight === 'string' ? route.endStraight : (run.run?.endStraight.text ?? ''),
    );

    function set(change: (route: RouteDocument) => void): void {
        void desk.editRun((one) => one.route && change(one.route));
    }

    const isLocked = (row: RowDocument | undefined, key: Cell) =>
        key !== 'clr' && (row?.locked ?? []).includes(key);

    function lock(i: number, key: Lockable): void {
        set((one) => {
            const row = one.bends[i];
            if (!row) return;
            const others = (row.locked ?? []).filter((held) => held !== key);
            row.locked = isLocked(row, key) ? others : [...others, key];
        });
    }
</script>

<section class="sheet p-3" aria-label="Length, rotation and angle of every bend">
    <div class="grid grid-cols-[1.7rem_1.42fr_1.1fr_1.02fr_0.92fr] gap-x-1.5 gap-y-1.5">
        <span></span>
        {#each columns as column (column.key)}
            <span class="label text-right leading-tight">{column.label}</span>
        {/each}
        {#each (route?.bends ?? []).keys() as i (i)}
            <button
                type="button"
                class="figure self-start rounded-[2px] border py-1 {chosen === i &&
                desk.selection?.kind === 'bend'
                    ? 'bg-action text-on-action border-action'
                    : 'border-line'}"
                aria-label="Select bend {i + 1}"
                onclick={() => (desk.selection = { kind: 'bend', id: String(i) })}>{i + 1}</button
            >
            {#each columns as column (column.key)}
                <div class="flex items-start gap-0.5">
                    {#if column.key !== 'clr'}
                        {@const key = column.key}
                        <Lock
                            label="{column.label.toLowerCase()} of bend {i + 1}"
                            isOn={isLocked(route?.bends[i], key)}
                            disabled={!mayPlan}
                            onclick={() => lock(i, key)}
                        />
                    {/if}
                    <TextField
                        class="min-w-0 grow"
                        label="{column.label}, bend {i + 1}"
                        hideLabel
                        mono
                        disabled={!mayPlan}
                        value={shown(i, column.key)}
                        error={errorAt(desk.errors, `${desk.path}.route.bends[${i}].${column.key}`)}
                        onfocus={() => (desk.selection = { kind: 'bend', id: String(i) })}
                        onchange={(value) => set((one) => one.bends[i] && (one.bends[i][column.key] = value))}
                    />
                </div>
            {/each}
        {/each}
        <span></span>
        <div class="flex items-start gap-0.5">
            <Lock
                label="straight after the last bend"
                isOn={route?.endLocked === true}
                disabled={!mayPlan}
                onclick={() => set((one) => (one.endLocked = one.endLocked !== true))}
            />
            <TextField
                class="min-w-0 grow"
                label="Straight after the last bend"
                hideLabel
                mono
                disabled={!mayPlan}
                value={shownEnd}
                error={errorAt(desk.errors, `${desk.path}.route.endStraight`)}
                onchange={(value) => set((one) => (one.endStraight = value))}
            />
        </div>
        <span class="label col-span-3 self-center">straight after the last bend</span>
    </div>
    {#if mayPlan}
        <HandTools {desk} {run} {chosen} />
        <PieBend {desk} {run} bend={chosen} />
    {/if}
    <p class="text-quiet mt-2 text-sm">
        Turns count from the inside of the bend before (its throat line), clockwise looking with the flow.
        Drag a chosen bend by its arrows in the picture; what is locked stays when the far end is closed.
    </p>
</section>
