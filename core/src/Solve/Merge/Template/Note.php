<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Template;

/** A word on a template; mm on the sheet, from its lower left corner. */
final readonly class Note
{
    public function __construct(public float $xMm, public float $yMm, public float $heightMm, public string $text) {}
}
