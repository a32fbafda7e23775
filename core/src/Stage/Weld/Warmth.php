<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

/** How much a seam warms its tube, near it and away from it, while it cools; small rises add up. */
final readonly class Warmth
{
    /**
     * @param  list<float>  $atS  from the last moment of the arc, ascending
     * @param  list<array{float, list<float>}>  $rises  mm from the seam, ascending from 0, and K at those times
     */
    public function __construct(private array $atS, private array $rises) {}

    /** So far from the seam (mm), so long after its arc (s), K; 0 further away than is known. */
    public function atK(float $mm, float $seconds): float
    {
        $before = null;
        foreach ($this->rises as [$awayMm, $kelvin]) {
            $now = $this->inTimeK($kelvin, $seconds);
            if ($mm <= $awayMm) {
                [$fromMm, $from] = $before ?? [$awayMm, $now];

                return $awayMm > $fromMm ? $from + ($now - $from) * ($mm - $fromMm) / ($awayMm - $fromMm) : $now;
            }
            $before = [$awayMm, $now];
        }

        return 0.0;
    }

    /** @param  list<float>  $kelvin */
    private function inTimeK(array $kelvin, float $seconds): float
    {
        $last = count($this->atS) - 1;
        for ($i = 0; $i <= $last; $i++) {
            if ($seconds <= $this->atS[$i]) {
                $from = $i === 0 ? 0.0 : $this->atS[$i - 1];
                $before = $i === 0 ? $kelvin[0] : $kelvin[$i - 1];

                return $before + ($kelvin[$i] - $before) * ($seconds - $from) / ($this->atS[$i] - $from);
            }
        }

        // Beyond that it dies away about as fast as it has, over the same time again.
        return $kelvin[$last] * max(0.0, 2 - $seconds / $this->atS[$last]);
    }
}
