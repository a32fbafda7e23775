<script lang="ts">
    // Which way the three measures run, and from where.
    let open = $state(false);
</script>

<section class="sheet p-3" aria-label="Datum and axes">
    <button
        type="button"
        class="flex w-full items-baseline gap-3 text-left"
        aria-expanded={open}
        onclick={() => (open = !open)}
    >
        <span class="heading">Datum and axes</span>
        <span class="text-quiet">rearward, right, up, from one fixed point</span>
        <span class="label ml-auto">{open ? 'close' : 'show'}</span>
    </button>
    {#if open}
        <div class="mt-2 grid items-center gap-4 sm:grid-cols-[17rem_1fr]">
            <svg
                viewBox="0 0 272 150"
                role="img"
                aria-label="A vehicle from its left side and from above, with the axes drawn at the datum"
            >
                <g fill="none" stroke="var(--strong)" stroke-width="1.5">
                    <path d="M8 52 q4 -16 30 -18 l18 -16 h44 l24 16 q12 2 12 18 z" />
                    <circle cx="36" cy="53" r="9" fill="var(--sheet)" />
                    <circle cx="108" cy="53" r="9" fill="var(--sheet)" />
                    <rect x="8" y="92" width="128" height="46" rx="12" />
                    <path d="M40 92 v46 M58 96 h42 v38 h-42 z" />
                </g>
                <g stroke="var(--action)" fill="var(--action)" stroke-width="2">
                    <path d="M30 44 h44" /><path d="M74 40 l9 4 -9 4 z" />
                    <path d="M30 44 v-32" /><path d="M26 12 l4 -9 4 9 z" />
                    <path d="M30 115 h44" /><path d="M74 111 l9 4 -9 4 z" />
                    <path d="M30 115 v-30" /><path d="M26 86 l4 -9 4 9 z" />
                    <circle cx="30" cy="44" r="3" /><circle cx="30" cy="115" r="3" />
                </g>
                <g
                    fill="var(--ink)"
                    stroke="var(--sheet)"
                    stroke-width="4"
                    paint-order="stroke"
                    font-size="11"
                    font-family="Barlow, sans-serif"
                >
                    <text x="88" y="33">rearward</text><text x="37" y="11">up</text>
                    <text x="88" y="119">rearward</text><text x="37" y="85">right</text>
                    <text x="148" y="48">from the left,</text><text x="148" y="62">front to the left</text>
                    <text x="148" y="112">from above: right is</text><text x="148" y="126"
                        >the driver’s right hand</text
                    >
                </g>
            </svg>
            <div class="space-y-1">
                <p>
                    Choose a point that stays put and can be found again: the centre of the first port’s
                    flange, a dowel of the block. Every place is measured from it.
                </p>
                <p>
                    A direction is how far the gas gets along each axis: <span class="figure">0, 1, 0</span>
                    straight out to the right; <span class="figure">0, 1, −0.18</span> falling ten degrees as it
                    goes.
                </p>
            </div>
        </div>
    {/if}
</section>
