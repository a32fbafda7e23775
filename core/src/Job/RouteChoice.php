<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Run\Bend;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Units\Length;

/** The route a person took or typed, as length–rotation–angle rows and the straight behind the last bend. */
final readonly class RouteChoice
{
    /** @param  list<RouteRow>  $rows */
    public function __construct(public array $rows, public Length $endStraight) {}

    /** Takes over a computed run; lengths to a thousandth of a millimetre, angles to a hundred-thousandth of a degree. */
    public static function of(TubeRun $run): self
    {
        return new self(
            array_map(static fn (Bend $bend): RouteRow => new RouteRow(
                Length::ofMm(round($bend->straightMm, 3)),
                round($bend->rotationDeg, 5) + 0.0,
                round($bend->angleDeg, 5),
                Length::ofMm(round($bend->clrMm, 3)),
            ), $run->bends),
            Length::ofMm(round($run->endStraightMm, 3)),
        );
    }

    public function from(Frame $start): TubeRun
    {
        return new TubeRun(
            $start,
            array_map(static fn (RouteRow $row): Bend => new Bend($row->straight->mm, $row->rotationDeg, $row->angleDeg, $row->clr->mm), $this->rows),
            $this->endStraight->mm,
        );
    }
}
