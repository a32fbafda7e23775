<script lang="ts">
    // The fields of one reading, whichever way it is taken.
    import Button from '@/kit/button.svelte';
    import SelectField from '@/kit/select-field.svelte';
    import TextField from '@/kit/text-field.svelte';
    import type { MeasuringTool, ReadingDocument, WayWord } from '@/lib/answers';
    import {
        DATUM,
        numberOr,
        placeFrom,
        placeText,
        placeWords,
        TOOLS,
        type ReadingWay,
    } from '@/lib/readings';

    type Props = {
        way: ReadingWay;
        reading: ReadingDocument;
        /** Names of all points and of all ends of runs. */
        points: string[];
        ends: string[];
        err: (field: string) => string;
        onchange: (reading: ReadingDocument) => void;
    };
    let { way, reading, points, ends, err, onchange }: Props = $props();

    const named = (names: string[]) => names.map((id) => ({ id, name: placeWords(id) }));
    const places = $derived(named([DATUM, ...ends, ...points]));
    const tools = $derived(
        TOOLS.filter(
            ({ angles }) => angles === (TOOLS.find(({ id }) => id === way.tool)?.angles ?? false),
        ).map(({ id, name }) => ({ id, name })),
    );
    const words = (options: WayWord[]) => options.map((id) => ({ id, name: id }));
    const set = (change: Partial<ReadingDocument>) => onchange({ ...reading, ...change });
    /** A bearing turns to a side of where it is counted from. */
    const sides = (from: WayWord | undefined): WayWord[] =>
        from === 'rearward' || from === 'forward' ? ['right', 'left'] : ['rearward', 'forward'];
    const towards = $derived(
        way.id === 'above' ? sides(reading.way) : (way.toward?.options ?? ([] as WayWord[])),
    );
</script>

<div class="grid gap-3 sm:grid-cols-2">
    <SelectField
        label="Of"
        value={reading.of}
        options={way.isOfEnd ? named(ends) : places.filter(({ id }) => id !== DATUM)}
        error={err('of')}
        onchange={(of) => set({ of })}
    />
    {#each way.with ?? [] as one, i (i)}
        <SelectField
            label={one.label}
            value={reading.with?.[i] ?? ''}
            options={(one.ends ? named(ends) : places).filter(({ id }) => id !== reading.of)}
            error={err(`with[${i}]`) || (i === 0 ? err('with') : '')}
            onchange={(name) => set({ with: (reading.with ?? []).map((it, k) => (k === i ? name : it)) })}
        />
    {/each}
    {#if way.toward && way.id !== 'above'}
        <SelectField
            label={way.toward.label}
            value={reading.toward ?? 'down'}
            options={words(towards)}
            error={err('toward')}
            onchange={(toward) => set({ toward })}
        />
    {/if}
    {#if way.way}
        <SelectField
            label={way.way.label}
            value={reading.way ?? 'rearward'}
            options={words(way.way.options)}
            error={err('way')}
            onchange={(next) =>
                set(way.id === 'above' ? { way: next, toward: sides(next)[0] ?? 'right' } : { way: next })}
        />
    {/if}
    {#if way.toward && way.id === 'above'}
        <SelectField
            label={way.toward.label}
            value={reading.toward ?? 'right'}
            options={words(towards)}
            error={err('toward')}
            onchange={(toward) => set({ toward })}
        />
    {/if}
    {#if way.isOther}
        <SelectField
            label={way.isOther.label}
            value={reading.isOther ? 'yes' : 'no'}
            options={[
                { id: 'no', name: way.isOther.no },
                { id: 'yes', name: way.isOther.yes },
            ]}
            error={err('isOther')}
            onchange={(it) => set({ isOther: it === 'yes' })}
        />
    {/if}
    {#each reading.points ?? [] as point, i (i)}
        <TextField
            label="{way.points?.label ?? 'Point'} {i + 1}: rearward; right; up"
            mono
            value={placeText(point)}
            placeholder="12; -3 1/2; 8 in"
            error={err(`points[${i}]`) ||
                err(`points[${i}][0]`) ||
                err(`points[${i}][1]`) ||
                err(`points[${i}][2]`) ||
                (i === 0 ? err('points') : '')}
            onchange={(text) =>
                set({ points: (reading.points ?? []).map((it, k) => (k === i ? placeFrom(text) : it)) })}
        />
    {/each}
    {#if way.points}
        <Button
            class="self-end justify-self-start"
            onclick={() => set({ points: [...(reading.points ?? []), ''] })}>One more</Button
        >
    {/if}
    {#if way.value}
        <TextField
            label={way.value.label}
            mono
            value={placeText(reading.value)}
            placeholder={way.value.isPoint ? '12; -3 1/2; 8 in' : ''}
            error={err('value') || err('value[0]') || err('value[1]') || err('value[2]')}
            onchange={(text) => {
                if (way.value?.mayLack && text.trim() === '') {
                    const rest = { ...reading };
                    delete rest.value;
                    onchange(rest);
                } else set({ value: way.value?.isPoint ? placeFrom(text) : numberOr(text) });
            }}
        />
    {/if}
    <SelectField
        label="Taken with"
        value={reading.tool}
        options={tools}
        error={err('tool')}
        onchange={(tool) => set({ tool: tool as MeasuringTool })}
    />
    <TextField
        label="May be off by, if not as usual"
        mono
        value={reading.tolerance ?? ''}
        error={err('tolerance')}
        onchange={(text) => {
            const rest = { ...reading };
            delete rest.tolerance;
            onchange(text.trim() === '' ? rest : { ...rest, tolerance: numberOr(text) });
        }}
    />
</div>
