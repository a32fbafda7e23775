<script lang="ts">
    // One thing that is asked: a row of answers to press, or a field. Pressed again, an answer is taken back.
    import TextField from '@/kit/text-field.svelte';
    import type { IntakeQuestion } from '@/lib/answers';

    type Answer = string | number | boolean | undefined;
    type Props = {
        question: IntakeQuestion;
        value: Answer;
        error: string;
        onanswer: (value: Answer) => void;
    };
    let { question, value, error, onanswer }: Props = $props();

    const YES_NO = [
        { id: true, name: 'Yes' },
        { id: false, name: 'No' },
    ];
    const choices = $derived<{ id: string | boolean; name: string }[]>(
        question.kind === 'yes-no' ? YES_NO : question.options,
    );
    const isNumber = $derived(question.kind === 'count' || question.kind === 'money');

    function typed(text: string): void {
        const plain = text.trim();
        if (plain === '') onanswer(undefined);
        else onanswer(isNumber && Number.isFinite(Number(plain)) ? Number(plain) : plain);
    }
</script>

{#if choices.length > 0}
    <fieldset>
        <legend class="label">{question.label}</legend>
        <div class="mt-0.5 flex flex-wrap gap-1">
            {#each choices as one (one.id)}
                <button
                    type="button"
                    aria-pressed={one.id === value}
                    class="min-h-(--tap) rounded-[2px] border px-3 text-left leading-tight {one.id === value
                        ? 'bg-wash border-action border-2 font-semibold'
                        : 'bg-sheet border-strong'}"
                    onclick={() => onanswer(one.id === value ? undefined : one.id)}>{one.name}</button
                >
            {/each}
        </div>
        {#if error}<p class="text-stop mt-0.5 text-sm">✕ {error}</p>{/if}
    </fieldset>
{:else}
    <TextField
        label={question.label}
        value={typeof value === 'boolean' || value === undefined ? '' : value}
        {error}
        mono={question.kind !== 'text'}
        inputmode={isNumber ? 'decimal' : undefined}
        placeholder={question.hint}
        onchange={typed}
    />
{/if}
