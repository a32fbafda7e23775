<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\Insertion\Step;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * The third stage: every joint of a job, run by run in the order of flow, those of its collectors behind them, and
 * the fittings on the sides of its tubes.
 */
final readonly class JointList
{
    /**
     * @param  list<Joint>  $joints
     * @param  list<PlacedFitting>  $fittings
     * @param  list<Notice>  $notices
     */
    private function __construct(public array $joints, public array $fittings, public array $notices) {}

    public static function of(Job $job, Layout $layout, CutPlan $cut, Shop $shop): self
    {
        $joints = $fittings = $notices = [];
        foreach ($layout->runs as $routed) {
            $pieces = $cut->piecesOf($routed->spec->letter);
            if ($pieces === []) {
                continue;
            }
            $ofRun = new RunJoints($routed, $pieces, $job, $layout->placement);
            array_push($joints, ...$ofRun->joints());
            array_push($joints, ...DonutSeams::of($routed->spec->letter, $pieces, $routed->tube, $job->metal));
            array_push($fittings, ...$ofRun->fittings());
            array_push($notices, ...Bung::notices($routed, $pieces, $job, $shop->rules));
        }
        foreach ($layout->placement->collectors->all as $collector) {
            if ($cut->piecesOf($collector->build->letter) !== [] || ! $collector->build->make->isMade()) {
                array_push($joints, ...CollectorJoints::of($collector, $job));
            }
            $letter = $collector->build->letter;
            array_push(
                $joints,
                ...DonutSeams::of($letter, $cut->piecesOf($letter), $collector->tube(), $job->metal),
            );
        }
        $room = new SensorRoom($job, $layout, $shop->rules);

        return new self($joints, $fittings, [...$notices, ...$room->notices($fittings)]);
    }

    /** @return list<Joint> in the order of flow, fittings and the seams of donuts last */
    public function ofRun(string $letter): array
    {
        return array_values(array_filter($this->joints, static fn (Joint $joint): bool => $joint->run === $letter));
    }

    public function find(string $id): ?Joint
    {
        foreach ($this->joints as $joint) {
            if ($joint->id === $id) {
                return $joint;
            }
        }

        return null;
    }

    /** @return list<PlacedFitting> */
    public function fittingsOf(string $letter): array
    {
        return array_values(
            array_filter($this->fittings, static fn (PlacedFitting $one): bool => $one->run === $letter),
        );
    }

    /** @return list<Joint> those that are welded */
    public function welds(): array
    {
        return array_values(array_filter($this->joints, static fn (Joint $joint): bool => $joint->type->isWelded()));
    }

    /**
     * The runs that are built, as they go in; those that no order gets in come last. Where no order is known, as in the
     * survey.
     *
     * @return list<string> letters
     */
    public function asTheyGoIn(Layout $layout, ?Insertion $insertion): array
    {
        $built = array_filter(
            array_map(static fn (RoutedRun $one): string => $one->spec->letter, $layout->runs),
            fn (string $letter): bool => $this->ofRun($letter) !== [],
        );
        $order = array_map(static fn (Step $step): string => $step->tube, $insertion->order ?? []);

        return array_values(array_unique([...array_intersect($order, $built), ...$built]));
    }
}
