<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan;

use UpsweptBead\Core\Branching\Branch;

/** What the two templates of a branch are called: for the end of its piece, and for the hole it stands over. */
final readonly class BranchTemplates
{
    /** @return array{string, string} */
    public static function ids(Sketch $sketch, Branch $branch): array
    {
        $pieces = $sketch->cut->piecesOf($branch->letter);
        $piece = $branch->isStart ? $pieces[0] ?? null : $pieces[count($pieces) - 1] ?? null;
        $mark = $piece->mark ?? $branch->letter;

        return [$mark, "$mark-hole"];
    }
}
