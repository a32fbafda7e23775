<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use UpsweptBead\Core\Solve\Nest\Problem\Link;

/**
 * A part of a run that becomes one piece: at most one bend, what is straight before and after it, and the extra length
 * left on either end. Stations and lengths in mm along the centreline.
 */
final readonly class Part
{
    /** Finished length and extra length. */
    public float $cutMm;

    /** What it takes of a bend at least; 0 if it is straight. */
    public float $arcMm;

    /** @param  int  $id  another for every part of a tube's runs */
    public function __construct(
        public int $id,
        public int $run,
        public float $fromMm,
        public float $toMm,
        public ?Link $bend,
        public float $beforeMm,
        public float $afterMm,
        public float $longFromMm,
        public float $longToMm,
    ) {
        $this->cutMm = $toMm - $fromMm + $longFromMm + $longToMm;
        $this->arcMm = $bend === null ? 0.0 : $bend->lengthMm - Donor::WHOLE_MM;
    }
}
