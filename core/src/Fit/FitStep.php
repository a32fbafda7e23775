<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit;

/** One move of the build: which joint of which run is fitted, bringing which piece to which, and why now. */
final readonly class FitStep
{
    /** @param  string  $run  letter */
    public function __construct(
        public int $order,
        public string $run,
        public string $jointId,
        public string $brings,
        public string $to,
        public string $why,
    ) {}
}
