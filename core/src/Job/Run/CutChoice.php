<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Units\Length;

/** Where a run was chosen to be cut, instead of where it is worked out, and from which stock. */
final readonly class CutChoice
{
    /** The stock of a piece that is left open, where others of the run are not. */
    public const ANY = 'any';

    /**
     * @param  list<Length>  $joints  stations of all its joints, in order
     * @param  list<string>  $stock  for each piece the stock and a number, "B2.000x.065-R3-90 2": pieces of the job
     *   with
     *                               the same name come from the same one; "any" for one that is left open, empty where
     *                               all are
     */
    public function __construct(public array $joints, public array $stock = []) {}

    /** @return list<float> */
    public function jointsMm(): array
    {
        return array_map(static fn (Length $at): float => $at->mm, $this->joints);
    }
}
