<script lang="ts">
    // Wrap templates at 1:1, each as it is printed or cut.
    import type { JobDesk } from '@/lib/job-desk.svelte';

    type Props = { desk: JobDesk; marks: string[] };
    let { desk, marks }: Props = $props();

    const files = [
        { format: 'pdf', paper: 'a4', name: 'PDF, A4' },
        { format: 'pdf', paper: 'letter', name: 'PDF, Letter' },
        { format: 'svg', paper: '', name: 'SVG' },
        { format: 'dxf', paper: '', name: 'DXF' },
    ];
    const link = (mark: string, format: string, paper: string) =>
        `/jobs/${desk.view.id}/template.${format}?of=${encodeURIComponent(mark)}${paper === '' ? '' : `&paper=${paper}`}`;
</script>

<section class="sheet p-3" aria-label="Templates">
    <h2 class="heading">Templates, 1:1</h2>
    <ul class="mt-1">
        {#each marks as mark (mark)}
            <li class="border-line flex flex-wrap items-center gap-x-3 border-b py-1">
                <span class="figure w-20">{mark.replace('-', ' ')}</span>
                {#each files as { format, paper, name } (name)}
                    <a
                        class="tap text-action flex items-center underline underline-offset-4"
                        href={link(mark, format, paper)}
                        download>{name}</a
                    >
                {/each}
            </li>
        {/each}
    </ul>
    <p class="text-quiet mt-2 text-sm">
        Print at 100 %, not fitted to the page, and measure the 100 mm line first.{desk.unsaved
            ? ' What was just changed is saved first.'
            : ''}
    </p>
</section>
