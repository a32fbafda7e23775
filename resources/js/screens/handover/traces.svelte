<script lang="ts">
    // What instruments recorded at a joint, against what was planned.
    import type { Traces } from '@/lib/answers';
    import { send } from '@/lib/http';
    import type { JobDesk } from '@/lib/job-desk.svelte';
    import Plot from '@/parts/plot.svelte';

    type Props = { desk: JobDesk; joint: string };
    let { desk, joint }: Props = $props();

    const SHOWN = [
        { device: 'oxygen', step: 'purge', label: 'Oxygen at the vent' },
        { device: 'amps', step: 'weld', label: 'Amps' },
        { device: 'temperature', step: 'cool', label: 'Cooling' },
    ];

    let all = $state.raw<Traces['traces']>([]);
    let failure = $state('');
    $effect(() => {
        void load(desk.view.id);
    });

    async function load(job: number): Promise<void> {
        const reply = await send('GET', `/jobs/${job}/traces`, 'Traces');
        failure = reply.ok ? '' : reply.message;
        if (reply.ok) all = reply.data.traces;
    }

    const sheet = $derived(desk.plan.weld.sheets.find((one) => one.joint === joint));
    const limitOf = (device: string) =>
        device === 'oxygen'
            ? (sheet?.purge['target']?.value ?? null)
            : device === 'amps'
              ? (sheet?.settings['amps']?.value ?? null)
              : null;
    const plots = $derived(
        all
            .filter((trace) => trace.subject === joint)
            .flatMap((trace) =>
                SHOWN.flatMap((one) => {
                    const found = trace.devices.find((device) => device.device === one.device);
                    return trace.kind === one.step && found
                        ? {
                              ...one,
                              found,
                              at: trace.at,
                              again: trace.round > 1 ? `, round ${trace.round}` : '',
                          }
                        : [];
                }),
            ),
    );
    const lasts = (seconds: number) =>
        seconds < 120 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;
</script>

<section class="sheet p-3" aria-label="Traces of {joint}">
    <div class="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 class="heading">What was recorded at {joint}</h2>
        {#if all.length > 0}<a
                class="tap text-action inline-flex items-center text-sm underline"
                href="/jobs/{desk.view.id}/traces.csv">all traces as a table</a
            >{/if}
    </div>
    {#if failure}<p class="text-stop">✕ {failure}</p>{/if}
    <div class="mt-2 grid gap-3 sm:grid-cols-3">
        {#each plots as plot, i (i)}
            <div>
                <p class="label">
                    {plot.label}{plot.again}{plot.found.simulated ? ', stand-in' : ''}, {lasts(
                        plot.found.values.length * plot.found.every,
                    )}
                </p>
                <Plot
                    values={plot.found.values}
                    limit={limitOf(plot.device)}
                    isSteep={plot.device === 'oxygen'}
                    isPlan={plot.device === 'amps'}
                    label="{plot.label} of {joint}"
                />
            </div>
        {:else}
            <p class="text-quiet sm:col-span-3">
                {all.length > 0
                    ? 'Nothing was recorded at this joint; its readings were typed.'
                    : 'No instrument has recorded anything yet.'}
            </p>
        {/each}
    </div>
    {#if plots.length > 0}<p class="text-quiet mt-1 text-sm">
            Dashed: the most oxygen there may be, the amps that were planned.
        </p>{/if}
</section>
