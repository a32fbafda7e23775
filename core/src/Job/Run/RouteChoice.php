<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Locks;
use UpsweptBead\Core\Solve\Run\TubeRun;

/** The route a person took or typed, as length–rotation–angle rows and the straight behind the last bend. */
final readonly class RouteChoice
{
    /**
     * @param  list<RouteRow>  $rows
     * @param  CutChoice|null  $cuts  null where they are worked out
     */
    public function __construct(
        public array $rows,
        public Length $endStraight,
        public bool $endLocked = false,
        public ?CutChoice $cuts = null,
    ) {}

    public function cutAs(?CutChoice $cuts): self
    {
        return new self($this->rows, $this->endStraight, $this->endLocked, $cuts);
    }

    /**
     * Takes over a computed run; lengths to a thousandth of a millimetre, angles to a hundred-thousandth of a degree.
     */
    public static function of(TubeRun $run): self
    {
        return new self(
            array_map(static fn (Bend $bend): RouteRow => new RouteRow(
                Length::ofMm(round($bend->straightMm, 3)),
                round($bend->rotationDeg, 5) + 0.0,
                round($bend->angleDeg, 5),
                Length::ofMm(round($bend->clrMm, 3)),
                [],
                $bend->pieWelds,
            ), $run->bends),
            Length::ofMm(round($run->endStraightMm, 3)),
        );
    }

    /** Takes over a run that was changed by hand or closed: what did not change stays as it was written, locks stay. */
    public function changedTo(TubeRun $run): self
    {
        $rows = [];
        foreach (self::of($run)->rows as $i => $row) {
            $old = count($run->bends) === count($this->rows) ? $this->rows[$i] : null;
            $rows[] = $old === null ? $row : new RouteRow(
                abs($old->straight->mm - $row->straight->mm) < 1e-3 ? $old->straight : $row->straight,
                abs($old->rotationDeg - $row->rotationDeg) < 1e-5 ? $old->rotationDeg : $row->rotationDeg,
                abs($old->angleDeg - $row->angleDeg) < 1e-5 ? $old->angleDeg : $row->angleDeg,
                abs($old->clr->mm - $row->clr->mm) < 1e-3 ? $old->clr : $row->clr,
                $old->locked,
                $old->pieWelds,
            );
        }
        $end = Length::ofMm(round($run->endStraightMm, 3));

        return new self(
            $rows,
            abs($end->mm - $this->endStraight->mm) < 1e-3 ? $this->endStraight : $end,
            $this->endLocked,
        );
    }

    public function locks(): Locks
    {
        $held = $this->endLocked ? [3 * count($this->rows)] : [];
        foreach ($this->rows as $i => $row) {
            foreach ($row->locked as $key) {
                $held[] = 3 * $i + (int) array_search($key, RouteRow::LOCKABLE, true);
            }
        }

        return new Locks($held);
    }

    public function from(Frame $start): TubeRun
    {
        return new TubeRun(
            $start,
            array_map(
                static fn (RouteRow $row): Bend => new Bend(
                    $row->straight->mm,
                    $row->rotationDeg,
                    $row->angleDeg,
                    $row->clr->mm,
                    $row->pieWelds,
                ),
                $this->rows,
            ),
            $this->endStraight->mm,
        );
    }
}
