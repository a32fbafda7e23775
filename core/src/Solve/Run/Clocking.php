<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

/**
 * A turn at a joint as the shop marks it: degrees from the throat line of the piece before, and mm round the outside.
 *
 * Clockwise looking with the flow.
 */
final readonly class Clocking
{
    private function __construct(public float $turnDeg, public float $aroundMm) {}

    public static function of(float $turnDeg, float $odMm): self
    {
        return new self($turnDeg, M_PI * $odMm * $turnDeg / 360);
    }

    /** @return 'clockwise'|'anticlockwise' */
    public function way(): string
    {
        return $this->turnDeg < 0 ? 'anticlockwise' : 'clockwise';
    }
}
