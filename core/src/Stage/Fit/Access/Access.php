<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Rule;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\Insertion\Stuck;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\PlacedPart;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\FlangePlan;
use UpsweptBead\Core\Stage\Survey\Surroundings;

/** What of every joint of a job can be got to: takes too long to be worked out with every edit. */
final readonly class Access
{
    /**
     * @param  array<string, JointAccess>  $joints  by id; without those that no torch comes to from outside
     * @param  list<Stuck>  $alone  for each run what keeps it from coming out with all the rest in place; nothing if it
     *   does
     */
    private function __construct(public array $joints, public array $alone) {}

    public static function none(): self
    {
        return new self([], []);
    }

    /** What was worked out before for just these routes and joints; null if nothing was. */
    public static function known(
        Job $job,
        Layout $layout,
        JointList $joints,
        Shop $shop,
        ?Insertion $insertion = null,
    ): ?self {
        $key = self::key($job, $layout, $joints, $shop, $insertion);
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
        $known = self::known($job, $layout, $joints, $shop, $insertion);
        if ($known !== null) {
            return $known;
        }
        $solids = Solids::of($layout, PlacedPart::all($job, $layout));
        $shapes = new SeamShapes($layout, $joints);
        $cups = new Cups($shop);
        $vehicle = Solids::ofVehicle(Surroundings::goingIn($job, $shop));
        $goingIn = $joints->asTheyGoIn($layout, $insertion);
        $scenes = [];
        foreach ($joints->welds() as $joint) {
            $shape = $shapes->of($joint);
            if ($shape !== null) {
                $scenes[$joint->id] = JointScene::of(
                    $joint, $shape, $solids, $vehicle, $cups, $layout, $goingIn, $job->set->parts,
                );
            }
        }
        // What nothing changed round is known: an edit of one run works out anew only what is near to it.
        $tools = self::tools($job, $shop);
        $keys = array_map(static fn (JointScene $one): string => $one->key($tools), $scenes);
        $same = $shop->memo->recall(array_values($keys));
        $all = $new = [];
        foreach ($scenes as $id => $scene) {
            $one = $same[$keys[$id]] ?? null;
            if (! $one instanceof JointAccess) {
                $new[$keys[$id]] = $one = $scene->access($cups);
            }
            $all[$id] = $one;
        }
        $shop->memo->keep($new);
        $access = new self($all, $insertion->alone ?? self::byItself($job, $layout, $shop));
        $shop->memo->keep([self::key($job, $layout, $joints, $shop, $insertion) => $access]);

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

    /** What decides it besides where the runs lie: what was surveyed, and the torch. */
    private static function tools(Job $job, Shop $shop): string
    {
        return hash('xxh128', serialize([
            $job->set->keepOuts,
            array_map(static fn (Rule $rule): float => $rule->value, $shop->rules->rules),
        ]));
    }

    /** What decides it: where everything lies and is joined, in which order it goes in, and the torch. */
    private static function key(
        Job $job,
        Layout $layout,
        JointList $joints,
        Shop $shop,
        ?Insertion $insertion,
    ): string {
        $lies = static fn (RoutedRun $one): array => [
            $one->spec->letter, $one->tube->id, $one->run, $one->spec->start->wall, $one->spec->end->wall,
        ];
        $placement = $layout->placement;

        return 'access-'.hash('xxh128', serialize([
            self::tools($job, $shop),
            $joints->asTheyGoIn($layout, $insertion),
            $insertion !== null,
            array_map($lies, $layout->runs),
            $job->set->parts,
            array_map(static fn (Joint $one): array => [$one->id, $one->type, $one->seam], $joints->joints),
            $joints->fittings,
            array_map(static fn (FlangePlan $one): array => [$one->id, $one->flange->outline], $placement->flanges),
            array_map(
                static fn (BuiltCollector $one): array => [$one->build, $one->sizes->outlet->id, $one->lengthMm()],
                $placement->collectors->all,
            ),
        ]));
    }
}
