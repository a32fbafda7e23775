<script lang="ts">
    import Button from '@/kit/button.svelte';
    import TextField from '@/kit/text-field.svelte';
    import { errorAt, type JobDesk } from '@/lib/job-desk.svelte';
    import type { RouteDocument, RowDocument, RunPlan } from '@/lib/plan';
    import TurnSlider from './turn-slider.svelte';

    type Props = { desk: JobDesk; run: RunPlan; mayPlan: boolean };
    let { desk, run, mayPlan }: Props = $props();

    const route = $derived(desk.entered?.route ?? null);
    const chosen = $derived(desk.selection?.kind === 'bend' ? Number(desk.selection.id) : 0);
    const columns: { key: keyof RowDocument; label: string }[] = [
        { key: 'straight', label: 'Straight before' },
        { key: 'rotation', label: 'Turn' },
        { key: 'angle', label: 'Bend' },
        { key: 'clr', label: 'Radius' },
    ];

    /** What was typed if it says so, the core's text for a computed number. */
    function shown(i: number, key: keyof RowDocument): string {
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
    const add = () =>
        set((one) =>
            one.bends.push({
                straight: one.endStraight,
                rotation: 0,
                angle: 30,
                clr: one.bends.at(-1)?.clr ?? '4 1/2 in',
            }),
        );
    const remove = (i: number) => set((one) => one.bends.splice(i, 1));
</script>

<section class="sheet p-3" aria-label="Length, rotation and angle of every bend">
    <div class="grid grid-cols-[1.3rem_1.25fr_1fr_0.85fr_1fr_1.6rem] gap-x-2 gap-y-1.5">
        <span></span>
        {#each columns as column (column.key)}
            <span class="label text-right leading-tight">{column.label}</span>
        {/each}
        <span></span>
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
                <TextField
                    label="{column.label}, bend {i + 1}"
                    hideLabel
                    mono
                    disabled={!mayPlan}
                    value={shown(i, column.key)}
                    error={errorAt(desk.errors, `${desk.path}.route.bends[${i}].${column.key}`)}
                    onfocus={() => (desk.selection = { kind: 'bend', id: String(i) })}
                    onchange={(value) => set((one) => one.bends[i] && (one.bends[i][column.key] = value))}
                />
            {/each}
            {#if mayPlan}
                <button
                    type="button"
                    class="text-quiet hover:text-stop self-start py-1"
                    aria-label="Remove bend {i + 1}"
                    onclick={() => remove(i)}>✕</button
                >
            {:else}
                <span></span>
            {/if}
        {/each}
        <span></span>
        <TextField
            label="Straight after the last bend"
            hideLabel
            mono
            disabled={!mayPlan}
            value={shownEnd}
            error={errorAt(desk.errors, `${desk.path}.route.endStraight`)}
            onchange={(value) => set((one) => (one.endStraight = value))}
        />
        <span class="label col-span-4 self-center">straight after the last bend</span>
    </div>
    {#if mayPlan}
        <div class="border-line mt-3 border-t pt-2">
            {#if run.run?.bends[chosen]}
                <TurnSlider {desk} index={chosen} turn={run.run.bends[chosen].rotation} />
            {/if}
            <Button onclick={add}>Add a bend</Button>
        </div>
    {/if}
    <p class="text-quiet mt-2 text-sm">
        Turns count from the throat line of the bend before, clockwise looking with the flow. A tube turns
        only at a joint.
    </p>
</section>
