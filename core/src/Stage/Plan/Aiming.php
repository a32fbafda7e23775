<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\OutletLimit;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Stage\Survey\Jet;
use UpsweptBead\Core\Stage\Survey\Surroundings;

/**
 * Where a free outlet goes that is to point some way and to stay clear of what is there: a straight, one bend out of the
 * stock, and the tip behind it, the shortest that does it and blows at nothing.
 */
final readonly class Aiming
{
    /** Straights are tried in steps of this, mm: half an inch; our own figure. */
    private const STEP_MM = 12.7;

    /** No straight before or behind the bend is tried beyond this, mm; our own figure. */
    private const MOST_STRAIGHT_MM = 900.0;

    /** Behind the last bend so much is left to hold and to cut square, mm; our own figure. */
    private const LEAST_TIP_MM = 40.0;

    /** A tube this near (degrees) to a way points that way; our own figure. */
    private const THERE_DEG = 0.5;

    /** Points of an arc are this far apart at most, degrees; our own figure. */
    private const ARC_DEG = 7.5;

    /**
     * @param  list<KeepOut>  $solids  that tubes keep clear of
     * @param  list<KeepOut>  $surveyed  that must not be blown at
     */
    private function __construct(
        private Job $job,
        private Shop $shop,
        private string $letter,
        private Frame $from,
        private float $odMm,
        private array $solids,
        private array $surveyed,
    ) {}

    /** @throws \DomainException if there is no such run, or it has a far end to meet */
    public static function of(Job $job, Shop $shop, string $letter): self
    {
        $growing = Growing::of($job, $shop, $letter);

        return new self(
            $job,
            $shop,
            $letter,
            $growing->end(),
            $growing->odMm,
            Surroundings::inPlace($job, $shop),
            Surroundings::surveyed($job, $shop),
        );
    }

    /**
     * The way somebody means by a side and how far it falls below level.
     *
     * @param  float  $turnDeg  seen from above, from straight rearward to the right
     */
    public static function way(float $turnDeg, float $fallsDeg): Vector
    {
        [$turn, $falls] = [deg2rad($turnDeg), deg2rad($fallsDeg)];

        return new Vector(cos($falls) * cos($turn), cos($falls) * sin($turn), -sin($falls));
    }

    /**
     * @param  Vector  $way  it is to point
     * @param  float  $clearMm  to be kept from everything, where that is more than the shop's rules ask
     *
     * @throws \DomainException if no bend leads there, with what is in the way
     */
    public function route(Vector $way, float $clearMm): RouteChoice
    {
        $angleDeg = $this->from->forward->angleDegTo($way);
        if ($angleDeg < self::THERE_DEG) {
            $tipMm = $this->tip($this->from, $clearMm)
                ?? throw new \DomainException('It points there already, and straight on it does not come clear.');

            return Growing::of($this->job, $this->shop, $this->letter)->leg($tipMm);
        }
        $toward = $way->squareTo($this->from->forward);
        if ($toward->length() < 1e-6) {
            throw new \DomainException('That is straight back: put one bend on by hand first, to say which way round.');
        }
        $turnDeg = $this->from->turnDegTo($toward->unit());
        $best = $this->best($angleDeg, $turnDeg, $clearMm);
        $straight = $best['straight'] > 0.0
            ? Growing::of($this->job, $this->shop, $this->letter)->leg($best['straight'])
            : null;
        $job = $straight === null ? $this->job : $this->job->routed($this->letter, $straight);
        $bent = Growing::of($job, $this->shop, $this->letter)
            ->bend($best['clr'], $angleDeg, Turn::byDeg($turnDeg), 0.0, $best['leg']);
        $job = $this->job->routed($this->letter, $bent);

        return $best['tip'] > $best['leg']
            ? Growing::of($job, $this->shop, $this->letter)->leg($best['tip'] - $best['leg'])
            : $bent;
    }

    /**
     * @return array{straight: float, clr: float, leg: float, tip: float} mm
     *
     * @throws \DomainException if none comes clear
     */
    private function best(float $angleDeg, float $turnDeg, float $clearMm): array
    {
        $best = null;
        $leastMm = INF;
        $blocking = [];
        foreach ($this->donors($angleDeg) as $donor) {
            for ($straightMm = 0.0; $straightMm <= self::MOST_STRAIGHT_MM; $straightMm += self::STEP_MM) {
                $from = $this->from->advanced($straightMm);
                if ($straightMm > 0.0 && $this->blocker([$from->at], $clearMm) !== null) {
                    break;
                }
                $turned = $from->turned($turnDeg);
                $in = $this->blocker(self::arc($turned, $donor->clrMm, $angleDeg), $clearMm);
                $tipMm = $in === null ? $this->tip($turned->bent($donor->clrMm, $angleDeg), $clearMm) : null;
                if ($in !== null) {
                    $blocking[$in] = ($blocking[$in] ?? 0) + 1;
                }
                if ($tipMm !== null) {
                    // The shortest, and of equals the wider bend: those come last.
                    if ($straightMm + $tipMm <= $leastMm) {
                        $leastMm = $straightMm + $tipMm;
                        // The tip is the leg that the bend comes with, as far as that goes: no joint for it.
                        $legMm = min($tipMm, $donor->longestLegMm());
                        $best = ['straight' => $straightMm, 'clr' => $donor->clrMm, 'leg' => $legMm, 'tip' => $tipMm];
                    }
                    break;
                }
            }
        }
        arsort($blocking);

        return $best ?? throw new \DomainException(sprintf(
            'No stocked bend brings it there within %s%s.',
            Quantity::Length->show(self::MOST_STRAIGHT_MM, $this->job->units),
            $blocking === []
                ? ', clear and within what is asked of outlets'
                : ': '.array_key_first($blocking).' is in the way',
        ));
    }

    /** @return list<BendStock> of every radius the one that bends far enough with the least left over */
    private function donors(float $angleDeg): array
    {
        $donors = [];
        foreach ($this->shop->catalogue->bendsFor($this->job->run($this->letter)->tubeId ?? '') as $one) {
            if ($one->angleDeg >= $angleDeg) {
                $donors[(string) $one->clrMm] ??= $one;
            }
        }

        return array_values($donors);
    }

    /** How long the tip behind the last bend is: the shortest that is clear and within what is asked of outlets. */
    private function tip(Frame $from, float $clearMm): ?float
    {
        for ($tipMm = self::LEAST_TIP_MM; $tipMm <= self::MOST_STRAIGHT_MM; $tipMm += self::STEP_MM) {
            $end = $from->advanced($tipMm);
            if ($this->blocker([$from->advanced($tipMm / 2)->at, $end->at], $clearMm) !== null) {
                return null;
            }
            if ($this->isAllowed($end->at) && ! $this->blows($end)) {
                return $tipMm;
            }
        }

        return null;
    }

    private function blows(Frame $end): bool
    {
        return Jet::of($end, $this->surveyed, $this->shop->rules->value('outlet.jet')) !== [];
    }

    private function isAllowed(Vector $at): bool
    {
        return array_filter(
            $this->job->set->outlets,
            static fn (OutletLimit $one): bool => $one->shortMm($at) + $one->overMm($at) > 0.0,
        ) === [];
    }

    /**
     * @param  list<Vector>  $points  of a centreline
     * @return string|null the name of what is nearer to the tube there than is asked
     */
    private function blocker(array $points, float $clearMm): ?string
    {
        foreach ($points as $at) {
            foreach ($this->solids as $solid) {
                $keptMm = max($clearMm, $solid->clearanceMm ?? 0.0) + $this->odMm / 2;
                if ($solid->distance($at->x, $at->y, $at->z) < $keptMm) {
                    return $solid->id;
                }
            }
        }

        return null;
    }

    /** @return list<Vector> */
    private static function arc(Frame $from, float $clrMm, float $angleDeg): array
    {
        $steps = max(1, (int) ceil($angleDeg / self::ARC_DEG));

        return array_map(
            static fn (int $i): Vector => $from->bent($clrMm, $angleDeg * $i / $steps)->at,
            range(1, $steps),
        );
    }
}
