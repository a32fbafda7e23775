<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Stock\BendStock;

/** The piece that closes a gap between two tubes that stand: straight and mitred, or a piece of a bend. */
final readonly class ClosingPiece
{
    /** More light than this between two rims is not welded over: a mitre makes an oval of the round; our own figure. */
    private const MOST_LIGHT_MM = 0.3;

    /** Bends close in their own plane: so far may the far tube stand beside it (1/32 in); our own figure. */
    private const MOST_BESIDE_MM = 0.8;

    private const LEAST_GAP_MM = 0.5;

    private const MOST_GAP_MM = 7000.0;

    /** Ends that lean more than that from one another are no gap to be read round. */
    private const LEAST_COSINE = 0.2;

    /** A leg shorter than this is none. */
    private const LEAST_MM = 0.05;

    /**
     * @param  BendStock|null  $donor  the bend it is cut out of; null for a straight piece
     * @param  float  $beforeMm  straight before the bend
     * @param  float  $afterMm  and behind it; of a straight piece all its length on the centreline is before
     * @param  Vector  $axis  of a straight piece, from end to end
     * @param  float  $besideMm  how far the far tube stands beside where the piece ends
     */
    private function __construct(
        public StandingGap $gap,
        public ?BendStock $donor,
        public float $beforeMm,
        public float $afterMm,
        public Vector $axis,
        public float $besideMm,
    ) {}

    /**
     * @param  list<BendStock>  $stock  bends of the tube
     *
     * @throws \DomainException if neither a straight piece nor one bend closes it
     */
    public static function of(StandingGap $gap, array $stock): self
    {
        if (
            $gap->far->z < self::LEAST_GAP_MM
            || $gap->far->length() > self::MOST_GAP_MM
            || $gap->onward->z < self::LEAST_COSINE
        ) {
            throw new \DomainException('There is no gap between two ends in these readings: they have to come to more than nothing and less than 7 m, and lean by less than 78°.');
        }
        $axis = $gap->far->unit();
        $mitreDeg = max($axis->angleDegTo(new Vector(0.0, 0.0, 1.0)), $axis->angleDegTo($gap->onward));
        if ($gap->odMm / 2 * (1 / cos(deg2rad($mitreDeg)) - 1) <= self::MOST_LIGHT_MM) {
            return new self($gap, null, $gap->far->length(), 0.0, $axis, 0.0);
        }

        return self::bent($gap, $stock) ?? throw new \DomainException(sprintf(
            'Neither a straight piece nor one bend closes this: straight, a mitre of %.1f° would leave light, and no bend '.
            'on the shelf or in the list leads there. It takes two bends, or the tubes cut back.',
            $mitreDeg,
        ));
    }

    /**
     * With the far middle at A·z + B·n, z the way of the near tube and n that of the far one, a bend of radius r and the
     * tilt t leaves A − r tan(t/2) before it and B − r tan(t/2) behind.
     *
     * @param  list<BendStock>  $stock
     */
    private static function bent(StandingGap $gap, array $stock): ?self
    {
        $cos = $gap->onward->z;
        $square = 1 - $cos ** 2;
        if ($square < 1e-6) {
            return null;
        }
        [$along, $onward] = [$gap->far->z, $gap->far->dot($gap->onward)];
        [$a, $b] = [($along - $cos * $onward) / $square, ($onward - $cos * $along) / $square];
        $reached = (new Vector(0.0, 0.0, $a))->plus($gap->onward->times($b));
        $besideMm = $gap->far->distanceTo($reached);
        if ($besideMm > self::MOST_BESIDE_MM) {
            return null;
        }
        $tiltDeg = $gap->tiltDeg();
        $best = null;
        foreach ($stock as $one) {
            $takenMm = $one->clrMm * tan(deg2rad($tiltDeg) / 2);
            $fits = $one->angleDeg >= $tiltDeg && min($a, $b) - $takenMm >= -self::LEAST_MM;
            // The widest flows best; of one radius the shortest bend that is long enough.
            $isBetter = $best === null
                || $one->clrMm > $best->clrMm + self::LEAST_MM
                || abs($one->clrMm - $best->clrMm) <= self::LEAST_MM && $one->angleDeg < $best->angleDeg;
            $best = $fits && $isBetter ? $one : $best;
        }
        if ($best === null) {
            return null;
        }
        $takenMm = $best->clrMm * tan(deg2rad($tiltDeg) / 2);

        return new self(
            $gap,
            $best,
            max(0.0, $a - $takenMm),
            max(0.0, $b - $takenMm),
            new Vector(0.0, 0.0, 1.0),
            $besideMm,
        );
    }

    /** Along its centreline. */
    public function lengthMm(): float
    {
        return $this->beforeMm
            + ($this->donor === null ? 0.0 : $this->donor->clrMm * deg2rad($this->gap->tiltDeg()))
            + $this->afterMm;
    }

    /** Where round the tube the inside of its bend lies: degrees from 12 o'clock, clockwise looking with the flow. */
    public function insideDeg(): float
    {
        return fmod(rad2deg(atan2($this->gap->onward->y, $this->gap->onward->x)) + 360.0, 360.0);
    }

    /**
     * How long a straight piece is along its skin, every 45 degrees from 12 o'clock, clockwise looking with the flow.
     *
     * @return list<array{deg: float, mm: float}>
     */
    public function skin(): array
    {
        $lengths = [];
        for ($i = 0; $i < 8; $i++) {
            [$near, $far] = $this->onSkin(45.0 * $i);
            $lengths[] = ['deg' => 45.0 * $i, 'mm' => $near->distanceTo($far)];
        }

        return $lengths;
    }

    /**
     * Where a line along the skin of a straight piece meets both tubes.
     *
     * @param  float  $deg  from 12 o'clock, clockwise
     * @return array{Vector, Vector}
     */
    public function onSkin(float $deg): array
    {
        $up = (new Vector(1.0, 0.0, 0.0))->squareTo($this->axis)->unit();
        $out = $up->turnedAbout($this->axis, $deg)->times($this->gap->odMm / 2);
        $near = $out->minus($this->axis->times($out->z / $this->axis->z));
        $far = $out->plus($this->axis->times(
            $this->gap->onward->dot($this->gap->far->minus($out)) / $this->gap->onward->dot($this->axis),
        ));

        return [$near, $far];
    }

    /**
     * Both rims of a straight piece, as they lie along its axis from the middle of the near one: for a template.
     *
     * @param  int  $steps  round the tube
     * @return non-empty-list<array{deg: float, nearMm: float, farMm: float}> from 12 o'clock all the way round to it
     */
    public function rims(int $steps): array
    {
        return array_map(function (int $i) use ($steps): array {
            [$near, $far] = $this->onSkin(360.0 * $i / max(1, $steps));

            return [
                'deg' => 360.0 * $i / max(1, $steps),
                'nearMm' => $near->dot($this->axis),
                'farMm' => $far->dot($this->axis),
            ];
        }, range(0, max(1, $steps)));
    }

    /** How far the near end of a straight piece is cut off square, degrees. */
    public function nearMitreDeg(): float
    {
        return $this->axis->angleDegTo(new Vector(0.0, 0.0, 1.0));
    }

    /** And its far end. */
    public function farMitreDeg(): float
    {
        return $this->axis->angleDegTo($this->gap->onward);
    }
}
