<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Units\Length;

/** Where a run was chosen to be cut, instead of where it is worked out, and from which stock. */
final readonly class CutChoice
{
    /**
     * @param  list<Length>  $joints  stations of all its joints, in order
     * @param  list<string>  $stock  for each piece the stock and a number, "B2.000x.065-R3-90 2": pieces of the job with
     *                               the same name come from the same one; empty where that is left open
     */
    public function __construct(public array $joints, public array $stock = []) {}

    /** @return list<float> */
    public function jointsMm(): array
    {
        return array_map(static fn (Length $at): float => $at->mm, $this->joints);
    }
}
