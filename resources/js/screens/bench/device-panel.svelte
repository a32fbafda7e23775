<script lang="ts">
    // The instruments at a step: stand-ins that read as real ones would, or nothing but what somebody types.
    import { onDestroy, untrack } from 'svelte';
    import type { Devices, LogEntry, Step, Units } from '@/lib/answers';
    import { send } from '@/lib/http';
    import { deviceSwitch } from './device-switch.svelte';
    import Plot from '@/parts/plot.svelte';

    type Trace = NonNullable<LogEntry['traces']>[number];

    type Props = {
        job: number;
        step: Step;
        units: Units;
        /** Seconds since what they watch was begun; null before. */
        seconds: number | null;
        /** Which time it is done: chance falls differently each time. */
        run: string;
        /** A reading of the step's own measures, as the instrument shows it. */
        onread: (name: string, text: string) => void;
        traces: Trace[];
    };
    let { job, step, units, seconds, run, onread, traces = $bindable() }: Props = $props();

    const LEAKS = [
        { key: 'tight', label: 'taped tight' },
        { key: 'poor', label: 'a poor joint' },
        { key: 'open', label: 'tape off' },
    ];
    /** So many seconds at once at most; a trace of hours keeps every few of them. */
    const MOST_AT_ONCE = 60;
    const MOST_VALUES = 1200;

    let leak = $state('tight');
    let shown = $state.raw<Devices['devices']>([]);
    let failure = $state('');
    let values = $state.raw<Record<string, number[]>>({});
    let till = -1;
    let isAsking = false;
    let isGone = false;
    onDestroy(() => (isGone = true));

    const isOn = $derived(deviceSwitch.isSimulated);
    const second = $derived(seconds === null ? null : Math.floor(seconds));
    $effect(() => {
        if (isOn && second !== null && second > till) untrack(() => void ask(second));
    });
    $effect(() => {
        // Begun anew.
        if (seconds === null || seconds < till - 1) untrack(clear);
    });

    function clear(): void {
        till = -1;
        values = {};
        shown = [];
        traces = [];
    }

    async function ask(upTo: number): Promise<void> {
        if (isAsking) return;
        isAsking = true;
        const from = Math.max(till + 1, 0);
        const to = Math.min(upTo, from + MOST_AT_ONCE - 1);
        const query = new URLSearchParams({
            step: step.id,
            from: `${from}`,
            to: `${to}`,
            leak,
            share: '1',
            run,
            units,
        });
        const reply = await send('GET', `/jobs/${job}/devices?${query}`, 'Devices');
        isAsking = false;
        if (isGone) return;
        failure = reply.ok ? '' : 'The stand-ins do not answer: type what the meter reads.';
        if (!reply.ok) return;
        till = to;
        shown = reply.data.devices;
        values = Object.fromEntries(
            shown.map((one) => [one.name, [...(values[one.name] ?? []), ...one.values]]),
        );
        traces = shown.map((one) => thinned(one.name, values[one.name] ?? []));
        for (const one of shown) onread(one.name, one.name === 'amps' ? meanAmps() : one.text);
    }

    /** While the arc was on. */
    function meanAmps(): string {
        const burning = (values['amps'] ?? []).filter((amps) => amps > 5);
        const sum = burning.reduce((all, amps) => all + amps, 0);
        return burning.length === 0 ? '' : `${Math.round(sum / burning.length)} A`;
    }

    function thinned(device: string, all: number[]): Trace {
        const every = Math.max(1, Math.ceil(all.length / MOST_VALUES));
        return { device, every, values: all.filter((_, i) => i % every === 0), simulated: true };
    }

    function turn(): void {
        deviceSwitch.turn();
        clear();
    }
</script>

<section class="border-strong border p-3" aria-label="Instruments">
    <div class="flex flex-wrap items-center justify-between gap-2">
        <p class="label text-base">Instruments</p>
        <button type="button" class="font-label border-strong min-h-15 border px-3 text-lg" onclick={turn}
            >{isOn ? 'Simulated' : 'Typed readings'}</button
        >
    </div>
    {#if isOn}
        {#if shown.length === 0}
            <p class="text-quiet mt-2">
                {failure !== '' ? `✕ ${failure}` : 'They read once the clock runs.'}
            </p>
        {:else if failure !== ''}
            <p class="mt-2">✕ {failure}</p>
        {/if}
        <ul class="mt-2 grid grid-cols-2 gap-3">
            {#each shown as one, i (`${one.name} ${i}`)}
                {@const most = step.measures.find((measure) => measure.name === one.name)?.most ?? null}
                <li class={i === 0 ? 'col-span-2' : ''}>
                    <p class="label text-base">{one.label}</p>
                    <p
                        class="figure leading-tight font-medium whitespace-nowrap {i === 0
                            ? 'text-4xl'
                            : 'text-xl'}"
                    >
                        {one.text}
                    </p>
                    <Plot
                        values={values[one.name] ?? []}
                        limit={most?.value ?? null}
                        isSteep={one.name === 'oxygen'}
                    />
                </li>
            {/each}
        </ul>
        {#if step.kind === 'purge'}
            <div class="mt-2 flex flex-wrap gap-2" role="group" aria-label="How tight it is">
                {#each LEAKS as one (one.key)}
                    <button
                        type="button"
                        class="font-label min-h-15 border px-3 text-lg {leak === one.key
                            ? 'border-action text-action border-2 font-semibold'
                            : 'border-strong'}"
                        aria-pressed={leak === one.key}
                        onclick={() => {
                            leak = one.key;
                            clear();
                        }}>{one.label}</button
                    >
                {/each}
            </div>
        {/if}
    {/if}
</section>
