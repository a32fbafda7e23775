<script lang="ts">
    import Button from '@/kit/button.svelte';
    import type { Stage } from '@/lib/answers';

    type Props = { text: string; stage?: Stage; action?: string; onstage: (stage: Stage) => void };
    let { text, stage = 'route', action = 'Go to Route', onstage }: Props = $props();
</script>

<section class="sheet p-6">
    <p class="heading">Nothing to show yet</p>
    <p class="text-quiet mt-1 mb-3">{text}</p>
    <Button look="main" onclick={() => onstage(stage)}>{action}</Button>
</section>
