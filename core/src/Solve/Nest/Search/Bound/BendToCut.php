<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Bound;

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\RunShape;

/** A bend of a run, and every way it can lie in the stock there is. */
final readonly class BendToCut
{
    /**
     * @param  int  $k  which bend of its run
     * @param  array{float, float}  $longMm  extra length at the ends of its piece, if the piece has no straights
     * @param  list<Mode>  $modes
     */
    private function __construct(
        public RunShape $shape,
        public int $k,
        public float $arcMm,
        private array $longMm,
        public array $modes,
    ) {}

    /** @param  list<Donor>  $donors */
    public static function of(RunShape $shape, int $k, array $donors, CutRules $rules): self
    {
        ['from' => $from, 'to' => $to, 'link' => $link] = $shape->bends[$k];
        $first = $from <= 0.0 ? $shape->run->firstLongMm : $rules->longStartMm;
        $last = $to >= $shape->endMm ? $shape->run->lastLongMm : $rules->longEndMm;

        return new self(
            $shape,
            $k,
            $link->lengthMm,
            [$first, $last],
            Mode::of($link->lengthMm, $link->clrMm, $donors),
        );
    }

    /** What it takes of the bend of its stock: extra length lies in it where no leg goes with the piece. */
    public function takesMm(Mode $mode): float
    {
        return $this->arcMm
            + ($mode->beforeMm === null ? $this->longMm[0] : 0.0)
            + ($mode->afterMm === null ? $this->longMm[1] : 0.0);
    }

    public function isLast(): bool
    {
        return $this->k === count($this->shape->bends) - 1;
    }
}
