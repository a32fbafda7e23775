<script lang="ts">
    import type { Notice } from '@/lib/answers';

    type Props = { notices: Notice[] };
    let { notices }: Props = $props();
</script>

{#if notices.length > 0}
    <ul class="space-y-1">
        {#each notices as notice, i (i)}
            <li
                class="sheet flex gap-2 px-3 py-1.5 {notice.severity === 'problem'
                    ? 'border-l-stop border-l-4'
                    : 'border-l-4'}"
            >
                <span class="label w-16 shrink-0 pt-0.5"
                    >{notice.severity === 'problem' ? '✕ Problem' : '△ Caution'}</span
                >
                <span>{notice.message}</span>
            </li>
        {/each}
    </ul>
{/if}
