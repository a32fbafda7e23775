<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

/** Paper that printers take (ISO 216; ANSI Y14.1). */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    /** @return array{float, float} its short and its long side, mm */
    public function sidesMm(): array
    {
        return match ($this) {
            self::A4 => [210.0, 297.0],
            self::Letter => [215.9, 279.4],
        };
    }
}
