<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Template;

/** One line of a template, corner by corner; mm on the sheet, x to the right and y up. */
final readonly class Stroke
{
    /** @param  non-empty-list<array{float, float}>  $points */
    public function __construct(public Layer $layer, public array $points, public bool $isClosed = false) {}
}
