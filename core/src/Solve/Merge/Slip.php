<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

use UpsweptBead\Core\Base\Document\Refusal;

/** A slip joint: the upstream end goes into the downstream one, so that the gas passes over no edge; mm. */
final readonly class Slip
{
    /**
     * @param  float  $boreMm  of the outer end as it is in the end
     * @param  float  $expandMm  what its bore is expanded by
     * @param  float  $expandPct  the same of the bore as bought
     * @param  float  $legMm  straight that each end needs
     */
    private function __construct(
        public float $boreMm,
        public float $expandMm,
        public float $expandPct,
        public float $legMm,
    ) {}

    /**
     * @param  float  $clearanceMm  wanted, on the diameter
     * @param  float  $mostClearanceMm  allowed, on the diameter
     * @param  array<string, float>  $legsMm  straights in hand, by the end they are on
     * @return self|list<Refusal>
     */
    public static function of(
        RoundTube $upstream,
        RoundTube $downstream,
        float $depthMm,
        float $leadInMm,
        float $clearanceMm,
        float $mostClearanceMm,
        float $mostExpandPct,
        array $legsMm,
    ): self|array {
        $oldMm = 2 * $downstream->boreMm();
        $expandMm = max(0.0, $upstream->odMm + $clearanceMm - $oldMm);
        $expandPct = 100 * $expandMm / $oldMm;
        $legMm = $depthMm + $leadInMm;
        $reasons = [];
        foreach ($legsMm as $end => $inHandMm) {
            if ($inHandMm < $legMm - 1e-9) {
                $reasons[] = new Refusal('leg-too-short', "legs.$end", $legMm - $inHandMm);
            }
        }
        $looseMm = $oldMm - $upstream->odMm - $mostClearanceMm;
        if ($expandMm <= 0.0 && $looseMm > 1e-9) {
            $reasons[] = new Refusal('too-loose', 'downstream', $looseMm);
        }
        if ($expandPct > $mostExpandPct + 1e-9) {
            $reasons[] = new Refusal('expansion-too-large', 'max_expand_pct', $expandPct - $mostExpandPct);
        }

        return $reasons === [] ? new self($oldMm + $expandMm, $expandMm, $expandPct, $legMm) : $reasons;
    }
}
