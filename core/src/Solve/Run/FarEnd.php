<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Base\Geometry\Frame;

/**
 * How far the end of a run is from where it has to be: the closing gap in mm and the angle between the axes in degrees.
 *
 * `alongMm` is the part of the gap on the target's axis (positive: the run is short), `acrossMm` the part square to it.
 */
final readonly class FarEnd
{
    /**
     * Ten millimetres of gap are taken to be as bad as one degree when one trade is to be weighed against the other.
     */
    private const MM_PER_DEG = 10.0;

    /** Below these a far end is closed: a tenth of what a tape can show. */
    public const CLOSED_MM = 0.1;

    public const CLOSED_DEG = 0.05;

    private function __construct(
        public float $gapMm,
        public float $angleDeg,
        public float $alongMm,
        public float $acrossMm,
        public ?Correction $best,
    ) {}

    public static function of(TubeRun $run, Frame $target): self
    {
        $plain = self::measure($run, $target);
        $best = null;
        if (! $plain->isClosed()) {
            foreach (self::corrections($run, $target) as $correction) {
                $best = $best === null || $correction->badness() < $best->badness() ? $correction : $best;
            }
            $best = $best !== null && $best->badness() < $plain->badness() - 0.05 ? $best : null;
        }

        return new self($plain->gapMm, $plain->angleDeg, $plain->alongMm, $plain->acrossMm, $best);
    }

    public function isClosed(): bool
    {
        return $this->gapMm <= self::CLOSED_MM && $this->angleDeg <= self::CLOSED_DEG;
    }

    /** Gap and turn as one number: mm, with 10 mm for a degree. */
    public function badness(): float
    {
        return hypot($this->gapMm, self::MM_PER_DEG * $this->angleDeg);
    }

    private static function measure(TubeRun $run, Frame $target): self
    {
        $end = $run->end();
        $gap = $target->at->minus($end->at);
        $along = $gap->dot($target->forward);

        return new self(
            $gap->length(),
            $end->forward->angleDegTo($target->forward),
            $along,
            $gap->squareTo($target->forward)->length(),
            null,
        );
    }

    /** @return list<Correction> the best turn at every joint and the best trim of every straight */
    private static function corrections(TubeRun $run, Frame $target): array
    {
        $corrections = [];
        $frame = $run->start;
        foreach ([...$run->bends, null] as $i => $bend) {
            $trimmed = self::withTrim($run, $i, $frame->forward->dot($target->at->minus($run->end()->at)));
            $corrections[] = new Correction(
                CorrectionKind::Trim,
                $i,
                $trimmed->straightsMm()[$i] - $run->straightsMm()[$i],
                self::measure($trimmed, $target),
            );
            if ($bend !== null) {
                $turnDeg = self::bestTurnDeg($run->end(), $target, $frame);
                $corrections[] = new Correction(
                    CorrectionKind::Turn,
                    $i,
                    $turnDeg,
                    self::measure(self::withTurn($run, $i, $turnDeg), $target),
                );
                $frame = $frame
                    ->advanced($bend->straightMm)
                    ->turned($bend->rotationDeg)
                    ->bent($bend->clrMm, $bend->angleDeg);
            }
        }

        return $corrections;
    }

    /**
     * The turn about one axis that brings point and direction closest together: one-axis least squares, closed form.
     */
    private static function bestTurnDeg(Frame $end, Frame $target, Frame $joint): float
    {
        $weight = (self::MM_PER_DEG * 180 / M_PI) ** 2;
        [$sin, $cos] = [0.0, 0.0];
        foreach (
            [
                [$end->at->minus($joint->at), $target->at->minus($joint->at), 1.0],
                [$end->forward, $target->forward, $weight],
            ] as [$from, $to, $w]
        ) {
            [$from, $to] = [$from->squareTo($joint->forward), $to->squareTo($joint->forward)];
            $sin += $w * $joint->forward->dot($from->cross($to));
            $cos += $w * $from->dot($to);
        }

        return rad2deg(atan2($sin, $cos));
    }

    private static function withTrim(TubeRun $run, int $i, float $mm): TubeRun
    {
        if ($i === count($run->bends)) {
            return new TubeRun($run->start, $run->bends, max(0.0, $run->endStraightMm + $mm));
        }
        $bends = $run->bends;
        $bends[$i] = $bends[$i]->with(straightMm: max(0.0, $bends[$i]->straightMm + $mm));

        return new TubeRun($run->start, array_values($bends), $run->endStraightMm);
    }

    private static function withTurn(TubeRun $run, int $i, float $deg): TubeRun
    {
        $bends = $run->bends;
        $bends[$i] = $bends[$i]->with(rotationDeg: $bends[$i]->rotationDeg + $deg);

        return new TubeRun($run->start, array_values($bends), $run->endStraightMm);
    }
}
