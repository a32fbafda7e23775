<script lang="ts">
    import type { RunPlan } from '@/lib/answers';

    type Props = { run: RunPlan };
    let { run }: Props = $props();

    const bends = $derived(
        [
            'Straight through: no bend is needed.',
            'The axes meet ahead: one bend could do it.',
            'The axes do not meet: two bends at least.',
        ][run.ends.leastBends] ?? '',
    );
</script>

<section
    class="sheet flex flex-wrap items-baseline gap-x-6 gap-y-1 px-3 py-2"
    aria-label="What the survey says"
>
    <p>
        <span class="label">Ends apart</span>
        <span class="figure text-xl font-medium">{run.ends.distance.text}</span>
    </p>
    <p>
        <span class="label">Turn between axes</span>
        <span class="figure text-xl font-medium">{run.ends.turn.text}</span>
    </p>
    <p>
        <span class="label">Axes miss by</span>
        <span class="figure text-xl font-medium">{run.ends.miss.text}</span>
    </p>
    <p class="text-quiet">{bends}</p>
</section>
