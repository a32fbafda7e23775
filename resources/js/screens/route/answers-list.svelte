<script lang="ts">
    import { untrack } from 'svelte';
    import Button from '@/kit/button.svelte';
    import type { RouteDocument, TubeRun, Ways } from '@/lib/answers';

    type Props = {
        answers: Ways;
        onpeek: (run: TubeRun | null) => void;
        ontake: (route: RouteDocument) => void;
    };
    let { answers, onpeek, ontake }: Props = $props();

    let picked = $state(0);

    function peek(i: number): void {
        picked = i;
        onpeek(answers.answers[i]?.run ?? null);
    }

    // The best one stands in the drawing at once.
    $effect(() => {
        void answers;
        untrack(() => peek(0));
    });
</script>

{#if answers.answers.length > 0}
    <section class="sheet flex max-h-[32rem] flex-col" aria-label="Ways found">
        <p class="border-line border-b px-3 py-2">
            <span class="heading">{answers.found} ways</span>
            {#if answers.found > answers.answers.length}<span>the first {answers.answers.length} listed;</span
                >{/if}
            <span class="text-quiet"
                >fewest joints first, then even angles, length, what is on the shelf, wide bends</span
            >
        </p>
        <ol class="divide-line divide-y overflow-auto">
            {#each answers.answers as answer, i (i)}
                <li
                    class="grid grid-cols-[1fr_auto] items-center gap-2 px-3 py-1.5 {picked === i
                        ? 'bg-wash'
                        : ''}"
                >
                    <button
                        type="button"
                        class="text-left"
                        aria-pressed={picked === i}
                        onclick={() => peek(i)}
                        onfocus={() => peek(i)}
                        onmouseenter={() => peek(i)}
                    >
                        <span class="figure block">
                            {#each answer.run.bends as bend, b (b)}{b > 0 ? ' + ' : ''}{bend.angle.text} on {bend
                                    .clr.text}{/each}{answer.run.bends.length === 0 ? 'straight' : ''}
                        </span>
                        <span class="text-quiet text-sm"
                            ><span class="figure">{answer.joints}</span> joints ·
                            <span class="figure">{answer.run.length.text}</span>
                            · {answer.givesUp || 'gives up nothing'} · {answer.shelf}</span
                        >
                    </button>
                    <Button
                        look={picked === i ? 'main' : 'plain'}
                        onclick={() => ontake(answer.route)}
                        aria-label="Take way {i + 1}">Take</Button
                    >
                </li>
            {/each}
        </ol>
    </section>
{:else}
    <section class="sheet border-l-stop border-l-4 p-4" role="status">
        <p class="heading">No way with two bends from stock</p>
        <ul class="mt-2 space-y-1">
            {#each answers.blocked as blocked (blocked.constraint)}
                <li>
                    {blocked.text}
                    <span class="text-quiet text-sm">Radii {blocked.radii.join(' and ')}.</span>
                </li>
            {/each}
        </ul>
        <p class="text-quiet mt-2 text-sm">
            Move an end by that much at Survey, take tube with tighter bends, or type a third bend into the
            table.
        </p>
    </section>
{/if}
