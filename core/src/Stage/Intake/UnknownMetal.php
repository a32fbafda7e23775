<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Shop\Practice\Shop;

/** What is said of a metal that no table knows. */
final readonly class UnknownMetal
{
    private const MOST_SHOWN = 30;

    public static function says(string $id, Shop $shop): string
    {
        return sprintf(
            '"%s" is not a metal in the table; known are %s.',
            mb_substr($id, 0, self::MOST_SHOWN),
            implode(', ', array_keys($shop->catalogue->metals)),
        );
    }
}
