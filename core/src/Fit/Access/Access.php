<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Access;

use UpsweptBead\Core\Branching\BuiltCollector;
use UpsweptBead\Core\Branching\FlangePlan;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Reach\Place;
use UpsweptBead\Core\Reach\RoundSeam;
use UpsweptBead\Core\Route\Insertion\Insertion;
use UpsweptBead\Core\Route\Insertion\Stuck;
use UpsweptBead\Core\Shop\Rule;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Survey\Surroundings;

/** What of every joint of a job can be got to: takes too long to be worked out with every edit. */
final readonly class Access
{
    /**
     * @param  array<string, JointAccess>  $joints  by id; without those that no torch comes to from outside
     * @param  list<Stuck>  $alone  for each run what keeps it from coming out with all the rest in place; nothing if it does
     */
    private function __construct(public array $joints, public array $alone) {}

    public static function none(): self
    {
        return new self([], []);
    }

    /** What was worked out before for just these routes and joints; null if nothing was. */
    public static function known(Job $job, Layout $layout, JointList $joints, Shop $shop): ?self
    {
        $key = self::key($job, $layout, $joints, $shop);
        $known = $shop->memo->recall([$key])[$key] ?? null;

        return $known instanceof self ? $known : null;
    }

    /** @param  ?Insertion  $insertion  in which order the runs go in, where there are several */
    public static function of(
        Job $job,
        Layout $layout,
        JointList $joints,
        Shop $shop,
        ?Insertion $insertion = null,
    ): self {
        $known = self::known($job, $layout, $joints, $shop);
        if ($known !== null) {
            return $known;
        }
        $solids = Solids::of($layout);
        $shapes = new SeamShapes($layout, $joints);
        $cups = new Cups($shop);
        $vehicle = Solids::ofVehicle(Surroundings::goingIn($job, $shop));
        $all = [];
        foreach ($joints->welds() as $joint) {
            $shape = $shapes->of($joint);
            if ($shape !== null) {
                $all[$joint->id] = self::joint($joint, $shape, $solids, $vehicle, $cups, $layout);
            }
        }
        $access = new self($all, $insertion->alone ?? self::byItself($job, $layout, $shop));
        $shop->memo->keep([self::key($job, $layout, $joints, $shop) => $access]);

        return $access;
    }

    /** @return list<Stuck> of a run that is the only one, but for its branches */
    private static function byItself(Job $job, Layout $layout, Shop $shop): array
    {
        // A branch goes in and comes out with what it stands on.
        $runs = array_values(array_filter($layout->runs, static fn (RoutedRun $one): bool => ! $one->isBranch()));
        if (count($runs) !== 1) {
            return [];
        }

        return Insertion::of([$runs[0]->inOnePiece()], Surroundings::goingIn($job, $shop))->alone;
    }

    /** @param  list<Obstacle>  $vehicle */
    private static function joint(
        Joint $joint,
        SeamShape $shape,
        Solids $solids,
        array $vehicle,
        Cups $cups,
        Layout $layout,
    ): JointAccess {
        $routed = $layout->run($joint->run);
        $with = self::belonging($joint, $layout);
        $own = array_merge(...array_map(static fn (string $one): array => $solids->all[$one] ?? [], $with));
        $own = self::near($shape->seam, $own, $cups->reachMm());
        $others = [];
        foreach ($solids->without($with) as $letter => $some) {
            $close = self::near($shape->seam, $some, $cups->reachMm());
            if ($close !== []) {
                $others["$letter"] = $close;
            }
        }
        $alone = $cups->best($shape, $own);
        $set = [...$own, ...array_merge(...array_values($others))];
        $together = $others === [] ? $alone : $cups->best($shape, $set);
        $vehicle = self::near($shape->seam, $vehicle, $cups->reachMm());
        $inPlace = $vehicle === [] ? $together : $cups->best($shape, [...$set, ...$vehicle]);
        $by = [];
        if ($together->share < min($alone->share - Cups::SAME, JointAccess::ENOUGH)) {
            foreach ($others as $letter => $some) {
                if ($cups->again($alone, $shape, [...$own, ...$some])->share < $alone->share - Cups::SAME) {
                    $by[] = $letter;
                }
            }
            $by = $by === [] ? array_keys($others) : $by;
        }
        $root = $routed === null ? RootView::none() : RootView::of($routed, $joint->seam->stationMm);

        return new JointAccess($joint->id, $alone, $together, $inPlace, $by, $root);
    }

    /** @return list<string> letters of what a joint is part of: it is there whenever the joint is */
    private static function belonging(Joint $joint, Layout $layout): array
    {
        $letters = [$joint->run];
        $routed = $layout->run($joint->run);
        $isEnd = $routed !== null && $joint->seam->stationMm > $routed->line->lengthMm / 2;
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
     * @param  RoundSeam|non-empty-list<Place>  $seam
     * @param  list<Obstacle>  $some
     * @return list<Obstacle>
     */
    private static function near(RoundSeam|array $seam, array $some, float $reachMm): array
    {
        $places = $seam instanceof RoundSeam ? [$seam->at(0.0), $seam->at(M_PI)] : $seam;
        [$first, $half] = [$places[0], $places[intdiv(count($places), 2)]];
        $x = ($first->px + $half->px) / 2;
        $y = ($first->py + $half->py) / 2;
        $z = ($first->pz + $half->pz) / 2;
        $wideMm = max(array_map(
            static fn (Place $one): float => sqrt(($one->px - $x) ** 2 + ($one->py - $y) ** 2 + ($one->pz - $z) ** 2),
            $places,
        ));

        return array_values(array_filter(
            $some,
            static fn (Obstacle $one): bool => $one->solid()->distance($x, $y, $z) < $reachMm + $wideMm,
        ));
    }

    /** What decides it: where everything lies, where it is joined, and the torch. */
    private static function key(Job $job, Layout $layout, JointList $joints, Shop $shop): string
    {
        $lies = static fn (RoutedRun $one): array => [
            $one->spec->letter, $one->tube->id, $one->run, $one->spec->start->wall, $one->spec->end->wall,
        ];
        $placement = $layout->placement;

        return 'access-'.hash('xxh128', serialize([
            $job->set->keepOuts,
            array_map($lies, $layout->runs),
            array_map(static fn (Joint $one): array => [$one->id, $one->type, $one->seam], $joints->joints),
            $joints->fittings,
            array_map(static fn (FlangePlan $one): array => [$one->id, $one->flange->outline], $placement->flanges),
            array_map(
                static fn (BuiltCollector $one): array => [$one->build, $one->sizes->outlet->id, $one->lengthMm()],
                $placement->collectors->all,
            ),
            array_map(static fn (Rule $rule): float => $rule->value, $shop->rules->rules),
        ]));
    }
}
