<script lang="ts">
    // What to hold where, for one way to take a reading.
    let { way }: { way: string } = $props();

    /** Seen from the side: a part with a flange, a stub in it, and what is held against that. */
    const withStub = $derived(
        ['falls', 'plumb', 'level', 'rod', 'above', 'angle', 'square', 'face', 'bolts'].includes(way),
    );
</script>

<svg viewBox="0 0 260 130" class="w-full max-w-[20rem]" role="img" aria-label="What to hold where">
    <g fill="none" stroke="var(--strong)" stroke-width="2">
        {#if withStub}
            <path d="M8 22 h34 v86 h-34" fill="var(--wash)" />
            <rect x="42" y="30" width="9" height="70" fill="var(--sheet)" />
            {#if way !== 'face' && way !== 'bolts'}
                <g transform="rotate(14 51 65)">
                    <path d="M51 54 h130 M51 76 h130" />
                    <ellipse cx="181" cy="65" rx="4" ry="11" fill="var(--sheet)" />
                    <path d="M51 65 h160" stroke="var(--quiet)" stroke-width="1" stroke-dasharray="9 4 2 4" />
                </g>
            {/if}
        {:else}
            <circle cx="36" cy="98" r="5" fill="var(--ink)" stroke="none" />
            <circle cx="196" cy="36" r="16" fill="var(--sheet)" />
            <circle cx="196" cy="36" r="2.5" fill="var(--ink)" stroke="none" />
        {/if}
    </g>
    <g fill="none" stroke="var(--action)" stroke-width="2.5">
        {#if way === 'offsets'}
            <path d="M36 98 h160" /><path d="M196 98 v-62" /><path
                d="M196 98 l24 18"
                stroke-dasharray="5 3"
            />
        {:else if way === 'offset'}
            <path d="M36 98 h160" /><path
                d="M196 36 v62"
                stroke="var(--quiet)"
                stroke-width="1"
                stroke-dasharray="3 3"
            />
        {:else if way === 'tape-from' || way === 'tape'}
            <path d="M36 98 L196 36" />
            {#if way === 'tape-from'}
                <circle cx="84" cy="24" r="4" fill="var(--ink)" stroke="none" /><circle
                    cx="150"
                    cy="112"
                    r="4"
                    fill="var(--ink)"
                    stroke="none"
                />
                <path d="M84 24 L196 36 M150 112 L196 36" stroke-dasharray="5 3" stroke-width="1.5" />
            {/if}
        {:else if way === 'midway'}
            <circle cx="150" cy="54" r="4" fill="var(--ink)" stroke="none" /><circle
                cx="242"
                cy="18"
                r="4"
                fill="var(--ink)"
                stroke="none"
            />
            <path d="M150 54 L242 18" />
        {:else if way === 'line'}
            <circle cx="104" cy="72" r="4" fill="var(--ink)" stroke="none" /><path d="M36 98 L242 18" />
        {:else if way === 'falls'}
            <path d="M51 65 h150" stroke="var(--quiet)" stroke-width="1.5" stroke-dasharray="6 4" />
            <path d="M150 65 a100 100 0 0 1 -3 24" />
            <g transform="rotate(14 51 65)"
                ><rect x="98" y="44" width="46" height="10" fill="var(--sheet)" /></g
            >
        {:else if way === 'plumb'}
            <path d="M150 12 v108" stroke="var(--quiet)" stroke-width="1.5" stroke-dasharray="6 4" />
            <path d="M150 34 a56 56 0 0 1 46 34" />
        {:else if way === 'level'}
            <rect x="88" y="34" width="70" height="13" fill="var(--sheet)" /><circle cx="123" cy="40" r="3" />
        {:else if way === 'above'}
            <path d="M51 65 v-50" stroke="var(--quiet)" stroke-width="1.5" stroke-dasharray="6 4" />
            <path d="M51 25 a40 40 0 0 1 39 49" />
        {:else if way === 'rod'}
            <circle cx="85" cy="73.5" r="5" fill="var(--action)" stroke="none" /><circle
                cx="178"
                cy="97"
                r="5"
                fill="var(--action)"
                stroke="none"
            />
            <path d="M85 118 v-40 M178 118 v-16" stroke-width="1.5" />
        {:else if way === 'face' || way === 'bolts'}
            <path d="M51 65 h80" stroke="var(--quiet)" stroke-width="1" stroke-dasharray="9 4 2 4" />
            <g fill="var(--sheet)" stroke="var(--strong)" stroke-width="2"
                ><rect x="150" y="18" width="94" height="94" rx="8" /><circle cx="197" cy="65" r="20" /></g
            >
            {#each [[166, 34], [228, 34], [228, 96], ...(way === 'bolts' ? [[166, 96]] : [])] as [x, y], i (i)}
                <circle cx={x} cy={y} r="5" fill="var(--action)" stroke="none" />
            {/each}
            {#if way === 'bolts'}<circle cx="197" cy="65" r="44" stroke-dasharray="4 4" />{/if}
        {:else if way === 'square'}
            <path d="M51 14 v106" /><path d="M51 65 h-0" />
            <rect x="51" y="14" width="8" height="106" fill="var(--sheet)" />
        {:else if way === 'angle'}
            <g stroke="var(--strong)" stroke-width="2"><path d="M60 20 l120 -6 M62 42 l120 -6" /></g>
            <path d="M150 30 a70 70 0 0 1 -6 52" />
        {/if}
    </g>
    {#if !withStub}
        <g fill="var(--ink)" font-size="11" font-family="Barlow, sans-serif">
            <text x="14" y="118">{way === 'tape' ? 'one end' : 'known'}</text>
            <text x="178" y="14">its middle</text>
        </g>
    {/if}
</svg>
