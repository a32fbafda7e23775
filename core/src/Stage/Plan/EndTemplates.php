<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Stage\Merge\Branch;
use UpsweptBead\Core\Stage\Merge\Slant;

/**
 * What the templates of ends are called: of a branch, for the end of its piece and for the hole it stands over; of a
 * slant.
 */
final readonly class EndTemplates
{
    /** @return array{string, string} */
    public static function ids(Sketch $sketch, Branch $branch): array
    {
        $mark = self::mark($sketch, $branch->letter, $branch->isStart);

        return [$mark, "$mark-hole"];
    }

    public static function ofSlant(Sketch $sketch, Slant $slant): string
    {
        return self::mark($sketch, $slant->letter, $slant->isStart).'-slant';
    }

    private static function mark(Sketch $sketch, string $letter, bool $isStart): string
    {
        $pieces = $sketch->cut->piecesOf($letter);
        $piece = $isStart ? $pieces[0] ?? null : $pieces[count($pieces) - 1] ?? null;

        return $piece->mark ?? $letter;
    }
}
