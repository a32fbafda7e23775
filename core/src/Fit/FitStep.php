<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit;

/** One move of the build: which joint is fitted, bringing which piece to which, and why now. */
final readonly class FitStep
{
    public function __construct(public int $order, public string $jointId, public string $brings, public string $to, public string $why) {}
}
