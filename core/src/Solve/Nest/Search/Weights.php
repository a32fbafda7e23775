<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** How a search weighs what it opens, so that it looks at other plans each time. */
final readonly class Weights
{
    /**
     * @param  float  $share  0: a donor counts whole when it is opened; 1: only what is used of it at once
     * @param  array<int, float>  $factors  by donor
     * @param  int  $width  how many branches are kept side by side
     * @param  bool  $isThorough  whether joints are tried, too, where a remnant would be used up to the last
     * @param  int  $straights  straight pieces in a row that are looked for, beyond what joints asked for and the
     *   length
     *                          of the stock make necessary
     */
    public function __construct(
        public float $share,
        public array $factors,
        public int $width,
        public bool $isThorough,
        public int $straights = 1,
    ) {}

    public static function plain(int $width): self
    {
        return new self(0.0, [], $width, false);
    }

    public function opening(Donor $donor, float $usedMm): float
    {
        $used = min(1.0, $usedMm / max(1.0, $donor->lengthMm()));

        $factor = $this->factors[$donor->index] ?? 1.0;

        return $donor->item->cost * $factor * (1.0 - $this->share + $this->share * $used);
    }
}
