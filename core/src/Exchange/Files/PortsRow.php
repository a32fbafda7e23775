<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Units\Length;

/** One pasted port, with its inlet if the line had one. */
final readonly class PortsRow
{
    /**
     * @param  array{Length, Length, Length}  $at
     * @param  array{float, float, float}  $direction
     * @param  array{Length, Length, Length}|null  $inletAt
     * @param  array{float, float, float}|null  $inletDirection
     */
    public function __construct(
        public int $line,
        public string $name,
        public array $at,
        public array $direction,
        public ?array $inletAt,
        public ?array $inletDirection,
    ) {}
}
