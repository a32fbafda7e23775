<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** One joint with all that stands near to it: what a torch gets to of it follows from nothing else. */
final readonly class JointScene
{
    /** What stands round a seam, by name: runs and collectors by their letters, which are never so long. */
    private const OWN = 'its own';

    private const VEHICLE = 'the vehicle';

    /**
     * @param  list<InTheWay>  $own  run, flange, ring and collector
     * @param  array<string, list<InTheWay>>  $others  by letter
     * @param  list<InTheWay>  $vehicle
     * @param  list<string>  $later  letters of the runs that go in after its own
     */
    private function __construct(
        private Joint $joint,
        private ?RoutedRun $routed,
        private SeamShape $shape,
        private array $own,
        private array $others,
        private array $vehicle,
        private array $later,
    ) {}

    /**
     * @param  list<InTheWay>  $vehicle
     * @param  list<string>  $goingIn  letters of the runs, as they go in
     * @param  list<PartSpec>  $parts  bought ones
     */
    public static function of(
        Joint $joint,
        SeamShape $shape,
        Solids $solids,
        array $vehicle,
        Cups $cups,
        Layout $layout,
        array $goingIn,
        array $parts,
    ): self {
        $with = self::belonging($joint, $layout, $parts);
        $own = array_merge(...array_map(static fn (string $one): array => $solids->all[$one] ?? [], $with));
        $reachMm = $cups->reachMm();
        $others = [];
        foreach ($solids->without($with) as $letter => $some) {
            $others["$letter"] = self::near($shape->seam, $some, $reachMm);
        }

        return new self(
            $joint,
            $layout->run($joint->run),
            $shape,
            self::near($shape->seam, $own, $reachMm),
            array_filter($others),
            self::near($shape->seam, $vehicle, $reachMm),
            self::later($joint, $goingIn),
        );
    }

    /** @param  string  $tools  what else decides it: the torch, and what was surveyed where that is near */
    public function key(string $tools): string
    {
        return 'reach-'.hash('xxh128', serialize([
            $tools,
            $this->joint->id,
            $this->joint->seam->stationMm,
            $this->routed?->run,
            $this->routed?->tube->id,
            $this->shape,
            $this->own,
            $this->others,
            $this->later,
            array_map(static fn (InTheWay $one): string => $one->solid()->id, $this->vehicle),
        ]));
    }

    public function access(Cups $cups): JointAccess
    {
        $letters = array_map(strval(...), array_keys($this->others));
        $later = array_values(array_intersect($letters, $this->later));
        $seam = $cups->on(
            $this->shape,
            [self::OWN => $this->own, ...$this->others, self::VEHICLE => $this->vehicle],
            [[self::OWN], array_values(array_diff($letters, $later)), $later, [self::VEHICLE]],
        );
        $alone = $cups->best($this->shape, $seam, 0);
        $inTurn = count($later) === count($letters) ? $alone : $cups->best($this->shape, $seam, 1);
        $together = $later === [] ? $inTurn : $cups->best($this->shape, $seam, 2);
        $inPlace = $this->vehicle === [] ? $together : $cups->best($this->shape, $seam, 3);
        $by = [];
        if ($together->share < min($alone->share - Cups::SAME, JointAccess::ENOUGH)) {
            $by = array_filter($letters, static fn (string $one): bool => $cups->isClosedBy($one, $alone, $seam, 2));
            $by = $by === [] ? $letters : array_values($by);
        }
        $root = $this->routed === null ? RootView::none() : RootView::of($this->routed, $this->joint->seam->stationMm);

        return new JointAccess($this->joint->id, $alone, $inTurn, $together, $inPlace, $by, $this->later, $root);
    }

    /**
     * @param  list<string>  $goingIn
     * @return list<string>
     */
    private static function later(Joint $joint, array $goingIn): array
    {
        $place = array_search($joint->run, $goingIn, true);

        return is_int($place) ? array_slice($goingIn, $place + 1) : [];
    }

    /**
     * @param  list<PartSpec>  $parts
     * @return list<string> letters or names of what a joint is part of: it is there whenever the joint is
     */
    private static function belonging(Joint $joint, Layout $layout, array $parts): array
    {
        $letters = [$joint->run];
        $routed = $layout->run($joint->run);
        $isEnd = $routed !== null && $joint->seam->stationMm > $routed->line->lengthMm / 2;
        foreach ($parts as $part) {
            $isBehind = ! $isEnd && $part->outlet === $joint->run;
            if ($joint->type->isAtPart() && ($isBehind || ($isEnd && $part->inlet === $joint->run))) {
                $letters[] = $part->name;
            }
        }
        foreach ($layout->placement->collectors->all as $one) {
            if ($isEnd && $joint->type->isAtPart() && in_array($joint->run, $one->spec->runs, true)) {
                $letters[] = $one->build->letter;
            }
            if (! $isEnd && $one->build->into === $joint->run && $joint->seam->stationMm <= 0.0) {
                $letters[] = $one->build->letter;
            }
        }
        $branch = $routed === null ? null : $layout->placement->branchAt($joint->run, $joint->seam->stationMm <= 0.0);
        if ($branch !== null) {
            $letters[] = $branch->spec->on;
        }

        return $letters;
    }

    /**
     * @param  RoundSeam|non-empty-list<SeamPlace>  $seam
     * @param  list<InTheWay>  $some
     * @return list<InTheWay>
     */
    private static function near(RoundSeam|array $seam, array $some, float $reachMm): array
    {
        $places = $seam instanceof RoundSeam ? [$seam->at(0.0), $seam->at(M_PI)] : $seam;
        [$first, $half] = [$places[0], $places[intdiv(count($places), 2)]];
        $x = ($first->px + $half->px) / 2;
        $y = ($first->py + $half->py) / 2;
        $z = ($first->pz + $half->pz) / 2;
        $wideMm = max(array_map(
            static fn (SeamPlace $one): float => sqrt(
                ($one->px - $x) ** 2 + ($one->py - $y) ** 2 + ($one->pz - $z) ** 2,
            ),
            $places,
        ));

        return array_values(array_filter(
            $some,
            static fn (InTheWay $one): bool => $one->solid()->atLeast($x, $y, $z) < $reachMm + $wideMm,
        ));
    }
}
