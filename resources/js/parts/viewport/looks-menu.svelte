<script lang="ts">
    // How the picture is looked at: cut open, spread out, with more or less of what stands round.
    import { Popover } from 'bits-ui';
    import type { Looks } from './tube-scene';

    type Props = { looks: Looks; reach: (axis: 0 | 1 | 2) => [number, number]; units: 'inch' | 'metric' };
    let { looks = $bindable(), reach, units }: Props = $props();

    const axes = [
        { id: '', name: 'whole' },
        { id: '0', name: 'from the rear' },
        { id: '1', name: 'from the right' },
        { id: '2', name: 'from above' },
    ];
    const snaps = $derived(
        units === 'inch'
            ? [
                  { mm: 0, name: 'off' },
                  { mm: 25.4 / 16, name: '1/16 in' },
                  { mm: 25.4 / 4, name: '1/4 in' },
                  { mm: 25.4, name: '1 in' },
              ]
            : [
                  { mm: 0, name: 'off' },
                  { mm: 1, name: '1 mm' },
                  { mm: 5, name: '5 mm' },
                  { mm: 10, name: '10 mm' },
              ],
    );
    const range = $derived(looks.section ? reach(looks.section.axis) : [0, 1]);

    function cut(id: string): void {
        const axis = Number(id) as 0 | 1 | 2;
        const [low, high] = reach(axis);
        looks.section = id === '' ? null : { axis, at: (low + high) / 2 };
    }
</script>

<Popover.Root>
    <Popover.Trigger
        class="label border px-2 py-1 {looks.section || looks.spread > 0
            ? 'bg-wash border-action'
            : 'bg-sheet border-line hover:border-ink'}">Look…</Popover.Trigger
    >
    <Popover.Portal>
        <Popover.Content
            class="sheet z-50 w-72 space-y-3 p-4 shadow-lg"
            role="dialog"
            aria-label="How the picture is looked at"
            sideOffset={6}
            collisionPadding={8}
        >
            <label class="block">
                <span class="label block">Cut open</span>
                <select
                    class="bg-sheet border-strong w-full border px-2 py-1"
                    value={looks.section ? String(looks.section.axis) : ''}
                    onchange={(event) => cut(event.currentTarget.value)}
                >
                    {#each axes as axis (axis.id)}<option value={axis.id}>{axis.name}</option>{/each}
                </select>
            </label>
            {#if looks.section}
                <label class="block">
                    <span class="label block">As deep as</span>
                    <input
                        type="range"
                        class="accent-action w-full"
                        min={range[0]}
                        max={range[1]}
                        step="1"
                        bind:value={looks.section.at}
                    />
                </label>
            {/if}
            <label class="block">
                <span class="label block">Spread the runs</span>
                <input
                    type="range"
                    class="accent-action w-full"
                    min="0"
                    max="1.5"
                    step="0.05"
                    bind:value={looks.spread}
                />
            </label>
            <label class="block">
                <span class="label block">What stands round</span>
                <input
                    type="range"
                    class="accent-action w-full"
                    min="0"
                    max="1"
                    step="0.02"
                    bind:value={looks.glass}
                />
            </label>
            <label class="block">
                <span class="label block">Dragging snaps to</span>
                <select
                    class="bg-sheet border-strong w-full border px-2 py-1"
                    onchange={(event) => (looks.snapMm = Number(event.currentTarget.value))}
                >
                    {#each snaps as snap (snap.name)}
                        <option value={snap.mm} selected={Math.abs(snap.mm - looks.snapMm) < 0.01}
                            >{snap.name}</option
                        >
                    {/each}
                </select>
            </label>
        </Popover.Content>
    </Popover.Portal>
</Popover.Root>
