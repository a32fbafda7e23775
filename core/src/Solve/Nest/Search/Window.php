<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** Pieces of a run one after the other that are taken out to be split and cut otherwise. */
final readonly class Window
{
    /**
     * @param  int  $first  which piece of the run comes first
     * @param  int  $count  how many pieces
     */
    public function __construct(public int $run, public int $first, public int $count) {}
}
