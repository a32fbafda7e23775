<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Adjust\Xyz;
use UpsweptBead\Core\Stage\Cut\Piece;

/**
 * A run that grows piece by piece from the part it is held to. A piece keeps its joints when the next one is put on.
 */
final readonly class Growing
{
    /** Less than this is rounding, mm and degrees. */
    private const SLACK_MM = 0.05;

    private const SLACK_DEG = 0.05;

    private const LEAST_MM = 1.0;

    private const MOST_MM = 7000.0;

    /**
     * @param  list<Piece>  $pieces  that it has so far
     * @param  list<BendStock>  $stock  smallest radius and angle first
     */
    private function __construct(
        private RunSpec $spec,
        private Frame $start,
        public float $odMm,
        private array $pieces,
        private array $stock,
        private UnitSystem $units,
    ) {}

    /** @throws \DomainException if there is no such run, or its tube is not known */
    public static function of(Job $job, Shop $shop, string $letter): self
    {
        $sketch = Planner::sketch($job, $shop);
        $spec = $sketch->job->run($letter)
            ?? throw new \DomainException(sprintf('The job has no run "%s".', mb_substr($letter, 0, 10)));
        $tube = $sketch->layout->tubes[$letter]
            ?? throw new \DomainException("The tube of run $letter is in no catalogue.");
        if (! $spec->end->isFree) {
            throw new \DomainException("Run $letter has a far end to meet; only one that ends where its pieces end grows.");
        }

        return new self(
            $spec,
            $spec->start->frame(),
            $tube->odMm,
            $sketch->cut->piecesOf($letter),
            $shop->catalogue->bendsFor($tube->id),
            $job->units,
        );
    }

    /**
     * Puts a bend on.
     *
     * @param  float|null  $beforeMm  straight that is left on it upstream; null for what comes with it
     * @param  float|null  $afterMm  and downstream
     * @param  int  $pieWelds  of one that is made of wedges, on any radius; 0 for one out of the stock
     *
     * @throws \DomainException if no such bend is stocked, or it cannot be turned so
     */
    public function bend(
        float $clrMm,
        float $angleDeg,
        Turn $turn,
        ?float $beforeMm,
        ?float $afterMm,
        int $pieWelds = 0,
    ): RouteChoice {
        if ($pieWelds > 0) {
            return $this->wedges($clrMm, $angleDeg, $turn, [$beforeMm ?? 0.0, $afterMm ?? 0.0], $pieWelds);
        }
        $donor = $this->donor($clrMm, $angleDeg);
        $isWhole = $angleDeg >= $donor->angleDeg - self::SLACK_DEG;
        $beforeMm ??= $donor->clampLegMm;
        // A bend that is cut short has its other leg on what is left of it.
        $afterMm ??= $isWhole ? $donor->pullLegMm : 0.0;
        $this->checkLegs($donor, $isWhole, $beforeMm, $afterMm);

        return $this->turned($donor->clrMm, $angleDeg, $turn, [$beforeMm, $afterMm], 0);
    }

    /**
     * A bend that is made of wedges out of a stick.
     *
     * @param  array{float, float}  $legsMm
     *
     * @throws \DomainException if it cannot be made
     */
    private function wedges(float $clrMm, float $angleDeg, Turn $turn, array $legsMm, int $pieWelds): RouteChoice
    {
        if ($clrMm <= $this->odMm / 2) {
            throw new \DomainException(sprintf(
                'The radius of wedges must be above half the tube: more than %s.',
                Quantity::Length->show($this->odMm / 2, $this->units),
            ));
        }
        if ($pieWelds > RouteRow::MOST_PIE_WELDS || min($legsMm) < 0.0 || max($legsMm) > self::MOST_MM) {
            throw new \DomainException(sprintf(
                'A bend of wedges has 1 to %d welds, and legs of 0 and more.',
                RouteRow::MOST_PIE_WELDS,
            ));
        }

        return $this->turned($clrMm, $angleDeg, $turn, $legsMm, $pieWelds);
    }

    /** @param  array{float, float}  $legsMm */
    private function turned(float $clrMm, float $angleDeg, Turn $turn, array $legsMm, int $pieWelds): RouteChoice
    {
        $route = $this->spec->route;
        $straightMm = ($route?->endStraight->mm ?? 0.0) + $legsMm[0];
        $row = new RouteRow(
            Length::ofMm(round($straightMm, 3)),
            round(Xyz::wrapped($turn->deg($this->end(), $this->odMm, $angleDeg)), 3) + 0.0,
            round($angleDeg, 3),
            Length::ofMm(round($clrMm, 3)),
            [],
            $pieWelds,
        );

        return $this->with([...$route->rows ?? [], $row], $legsMm[1]);
    }

    /** Where it ends so far. */
    public function end(): Frame
    {
        return $this->spec->route?->from($this->start)->end() ?? $this->start;
    }

    /** @throws \DomainException if the leg is none */
    public function leg(float $lengthMm): RouteChoice
    {
        if ($lengthMm < self::LEAST_MM || $lengthMm > self::MOST_MM) {
            throw new \DomainException(sprintf(
                'A straight piece is between %s and %s long.',
                Quantity::Length->show(self::LEAST_MM, $this->units),
                Quantity::Length->show(self::MOST_MM, $this->units),
            ));
        }
        $route = $this->spec->route;

        return $this->with($route->rows ?? [], ($route?->endStraight->mm ?? 0.0) + $lengthMm);
    }

    /** Without the last piece; null where it was the only one. */
    public function shorter(): ?RouteChoice
    {
        $last = $this->pieces[count($this->pieces) - 1] ?? null;
        $route = $this->spec->route;
        if ($last === null || $route === null || count($this->pieces) === 1) {
            return null;
        }
        $rows = $route->rows;
        $endMm = $route->endStraight->mm;
        if ($last->span->bendIndex === null) {
            $endMm -= $last->span->lengthMm();
        } else {
            $gone = array_pop($rows);
            $endMm = ($gone->straight->mm ?? 0.0) - $last->span->legBeforeMm;
        }
        $joints = array_slice($this->joints(), 0, -1);

        return new RouteChoice($rows, Length::ofMm(round(max(0.0, $endMm), 3)), false, $this->cuts($joints));
    }

    /** @param  list<RouteRow>  $rows */
    private function with(array $rows, float $endMm): RouteChoice
    {
        $last = $this->pieces[count($this->pieces) - 1] ?? null;
        $joints = $last === null ? [] : [...$this->joints(), $last->span->toMm];

        return new RouteChoice($rows, Length::ofMm(round($endMm, 3)), false, $this->cuts($joints));
    }

    /** @return list<float> stations of its joints so far, mm */
    private function joints(): array
    {
        return array_map(static fn (Piece $one): float => $one->span->toMm, array_slice($this->pieces, 0, -1));
    }

    /** @param  list<float>  $joints */
    private function cuts(array $joints): ?CutChoice
    {
        return $joints === [] ? null : new CutChoice(array_map(
            static fn (float $one): Length => Length::ofMm(round($one, 3)),
            $joints,
        ));
    }

    /** @throws \DomainException if none of that radius bends so far */
    private function donor(float $clrMm, float $angleDeg): BendStock
    {
        if ($angleDeg < 1.0) {
            throw new \DomainException('A bend turns by 1° at least.');
        }
        $mostDeg = 0.0;
        // The smallest angle comes first.
        foreach ($this->stock as $one) {
            if (abs($one->clrMm - $clrMm) > self::SLACK_MM) {
                continue;
            }
            if ($one->angleDeg >= $angleDeg - self::SLACK_DEG) {
                return $one;
            }
            $mostDeg = $one->angleDeg;
        }
        throw new \DomainException($mostDeg > 0.0
            ? sprintf('Bends on this radius are bought up to %.0f°.', $mostDeg)
            : 'No bend of this tube is stocked on that radius.');
    }

    /** @throws \DomainException if the bend does not come with such legs */
    private function checkLegs(BendStock $donor, bool $isWhole, float $beforeMm, float $afterMm): void
    {
        [$short, $long] = [min($beforeMm, $afterMm), max($beforeMm, $afterMm)];
        $other = min($donor->clampLegMm, $donor->pullLegMm);
        if ($short < 0.0) {
            throw new \DomainException('A leg cannot be less than nothing.');
        }
        if ($long > $donor->longestLegMm() + self::SLACK_MM || ($isWhole && $short > $other + self::SLACK_MM)) {
            throw new \DomainException(sprintf(
                'This bend comes with legs of %s and %s; longer ones are a straight piece of their own.',
                Quantity::Length->show($donor->longestLegMm(), $this->units),
                Quantity::Length->show($other, $this->units),
            ));
        }
        if (! $isWhole && $short > self::SLACK_MM) {
            throw new \DomainException(sprintf(
                'A %.0f° bend that is cut short keeps one of its legs only: leave the other at 0.',
                $donor->angleDeg,
            ));
        }
    }
}
