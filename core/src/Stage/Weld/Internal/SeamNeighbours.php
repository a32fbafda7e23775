<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld\Internal;

use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Cool\EndBodies;
use UpsweptBead\Core\Solve\Cool\TubeEnd;
use UpsweptBead\Core\Solve\Cool\TubeSide;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Weld\Backing;

/**
 * What lies on either side of a seam and takes its heat: tube; a ring clamped to its mate; a flange, free or on its
 * block; a boss or a tab on the side of the tube. Whatever is welded on has its mass.
 */
final readonly class SeamNeighbours
{
    /**
     * Lengths of tube count as the next shorter of these, so that most seams are alike (mm); less tube cools the
     * slower. Beyond the last nothing changes.
     */
    private const LENGTHS_MM = [300.0, 200.0, 150.0, 110.0, 80.0, 60.0, 40.0, 30.0, 20.0, 15.0, 10.0, 5.0];

    /** Into a collector or a main there is at least so much tube to run along (mm); our own figure. */
    private const INTO_PART_MM = 110.0;

    /** A clamp that holds a ring to its mate, so that it stays round: its mass and its width; our own figures. */
    private const CLAMP_KG = 0.2;

    private const CLAMP_MM = 20.0;

    /** Half of a bead that lies in a corner or against something heavy goes into that; our own figure. */
    private const INTO_END = 0.5;

    /** A seal inside takes less than half of the heat of the fillet outside. */
    private const SEAL_SHARE = 0.5;

    public function __construct(private Layout $layout, private Shop $shop) {}

    /** @param  array{float, float}  $heat  J that go in, and °C at which it is gone on */
    public function of(Joint $joint, TubeSize $tube, Backing $backing, float $beadMm, array $heat): AtSeam
    {
        $routed = $this->layout->run($joint->run);
        $part = $this->part($joint);
        $along = self::side($routed?->run->lengthMm() ?? self::INTO_PART_MM);
        if ($part !== null) {
            return $part->isBand
                ? $this->band($part, $along)
                : $this->flange($part, $joint, $along, $backing, $beadMm, $heat);
        }
        $into = new TubeSide(self::INTO_PART_MM, TubeEnd::bare());
        if ($routed === null) {
            return new AtSeam([$into, $into]);
        }
        $stationMm = $joint->seam->stationMm;
        $sides = [self::side($stationMm), self::side($routed->run->lengthMm() - $stationMm)];
        if ($joint->type->isOnSide()) {
            return $this->onSide($joint, $tube, max($sides[0]->lengthMm, $sides[1]->lengthMm));
        }

        return new AtSeam($joint->type->isAtPart() ? [$into, $along] : $sides);
    }

    /** The ring or flange at a joint; null where tube goes on into tube. */
    private function part(Joint $joint): ?EndPart
    {
        if ($joint->type !== JointType::VBandButt && ! Backing::isFor($joint->type)) {
            return null;
        }
        $collector = $this->layout->placement->collectors->find($joint->run);
        if ($collector !== null) {
            return EndPart::ofOutlet($collector, $this->shop->rules);
        }
        $routed = $this->layout->run($joint->run);
        $isStart = $routed === null || $joint->seam->stationMm < $routed->run->lengthMm() / 2;
        foreach ($this->layout->placement->flanges as $flange) {
            if ($flange->id === $joint->run.($isStart ? '.start' : '.end')) {
                return EndPart::ofRun($flange);
            }
        }

        return null;
    }

    private function band(EndPart $ring, TubeSide $along): AtSeam
    {
        $metal = $this->shop->catalogue->metal($ring->metal);
        $contactWK = $this->shop->rules->value('cool.bolted') * $ring->areaMm2() * 1e-6;
        $end = (new EndBodies($metal->densityKgM3, $metal->conductivityWMK))->band(
            $ring->areaMm2(), $ring->thickMm, $ring->insideMm, $ring->outsideMm,
            $contactWK, self::CLAMP_KG, self::CLAMP_MM,
        );

        return new AtSeam(
            [new TubeSide(0.0, $end), $along],
            sprintf('a ring of %.2f kg, clamped to its mate', $ring->massKg($metal->densityKgM3)),
            self::INTO_END,
        );
    }

    /** @param  array{float, float}  $heat */
    private function flange(
        EndPart $flange,
        Joint $joint,
        TubeSide $along,
        Backing $backing,
        float $beadMm,
        array $heat,
    ): AtSeam {
        $rules = $this->shop->rules;
        $metal = $this->shop->catalogue->metal($flange->metal);
        $plate = $backing->plate($rules, $flange->areaMm2());
        [$heatJ, $limitC] = $heat;
        $airC = $rules->value('cool.ambient');
        $massKg = $flange->massKg($metal->densityKgM3);
        $capacity = $massKg * $metal->heatJKgK + ($plate === null ? 0.0 : $plate->massKg * $plate->heatJKgK);
        // The outside follows as soon as the inside is cool enough: flange and block are still warm from that.
        $startC = $joint->type === JointType::FlangeSeal
            ? $airC
            : min($limitC, $airC + self::SEAL_SHARE * $heatJ / $capacity);
        $end = (new EndBodies($metal->densityKgM3, $metal->conductivityWMK))->flange(
            $flange->insideMm, $flange->outsideMm, $flange->thickMm, $beadMm, $plate, $rules->value('cool.bolted'),
        )->warmed($startC);

        return new AtSeam(
            [new TubeSide(0.0, $end), $along],
            $plate === null
                ? sprintf('a flange of %.2f kg, free', $massKg)
                : sprintf(
                    'a flange of %.2f kg, bolted to %s of %.1f kg', $massKg, $backing->withArticle(), $plate->massKg,
                ),
            self::INTO_END,
        );
    }

    private function onSide(Joint $joint, TubeSize $tube, float $alongMm): AtSeam
    {
        $kind = $joint->on;
        $spread = static fn (float $radiusMm): TubeSide => new TubeSide(
            max($alongMm, $tube->odMm), TubeEnd::bare(), $radiusMm,
        );
        if ($kind === null || ! $kind->stands()) {
            // Both banks of a crack.
            return new AtSeam([new TubeSide(0.0, TubeEnd::bare()), $spread($joint->seam->lengthMm / M_PI)]);
        }
        $metal = $this->shop->catalogue->metal($joint->and->metal);
        $massKg = $kind->volumeMm3() * $metal->densityKgM3 * 1e-9;
        $end = (new EndBodies($metal->densityKgM3, $metal->conductivityWMK))
            ->boss($massKg, $kind->freeAreaMm2(), $kind->odMm() / 2);

        return new AtSeam(
            [new TubeSide(0.0, $end), $spread($kind->odMm() / 2)],
            sprintf('a %s of %.0f g', $kind->short(), 1000 * $massKg),
            self::INTO_END,
        );
    }

    private static function side(float $mm): TubeSide
    {
        foreach (self::LENGTHS_MM as $least) {
            if ($mm >= $least) {
                return new TubeSide($least, TubeEnd::bare());
            }
        }

        return new TubeSide(0.0, TubeEnd::bare());
    }
}
