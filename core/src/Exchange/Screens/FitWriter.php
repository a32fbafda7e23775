<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Stage\Fit\Access\CupFit;
use UpsweptBead\Core\Stage\Fit\Access\JointAccess;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Fit\Growth\GrowthPlan;
use UpsweptBead\Core\Stage\Fit\Growth\Hung;
use UpsweptBead\Core\Stage\Fit\Growth\Loop;
use UpsweptBead\Core\Stage\Fit\Growth\Weight;
use UpsweptBead\Core\Stage\Fit\Order\Before;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Fit\ServiceCheck;
use UpsweptBead\Core\Stage\Fit\TrialLine;
use UpsweptBead\Core\Stage\Layout\NutReach;
use UpsweptBead\Core\Stage\Layout\PlacedPart;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Writes the order of building with its reasons, and what a torch, a look and a spanner get to. */
final readonly class FitWriter
{
    public function __construct(private FigureWriter $figures) {}

    /** @return array<string, mixed> */
    public function fit(FitPlan $fit): array
    {
        return [
            'letters' => $fit->letters,
            'ordered' => $fit->insertion !== null,
            'reached' => $fit->access !== null,
            'trial' => array_map(
                static fn (TrialLine $one): array => ['text' => $one->text, 'runs' => $one->runs],
                $fit->trial,
            ),
            'trialCaution' => StepKind::Trial->caution(),
            'tasks' => array_map(
                static fn (int $i, Task $task): array => self::task($i + 1, $task, $fit),
                array_keys($fit->build->tasks),
                $fit->build->tasks,
            ),
            'access' => array_map(
                fn (JointAccess $one): array => $this->access($one, $fit),
                array_values($fit->access->joints ?? []),
            ),
            'closed' => array_map(fn (JointAccess $one): array => [
                'joint' => $one->joint,
                'by' => $one->by,
                'share' => $this->share($one->together->share),
            ], $fit->closed()),
            'parts' => array_map(self::part(...), $fit->parts),
            'growth' => $this->growth($fit->growth),
            'service' => array_map(static fn (ServiceCheck $one): array => [
                'run' => $one->run,
                'clamps' => $one->clamps,
                'comesOut' => $one->comesOut,
                'by' => $one->by,
            ], $fit->service),
            'nuts' => array_map(fn (NutReach $nut): array => [
                'name' => $nut->nut,
                'swing' => $this->figures->plain(Quantity::Angle, $nut->swingDeg),
                'inTheWay' => $nut->inTheWay,
            ], $fit->nuts),
        ];
    }

    /** @return array<string, mixed> */
    private static function part(PlacedPart $one): array
    {
        return [
            'name' => $one->spec->name,
            'run' => $one->spec->inlet,
            'from' => $one->start->at->toArray(),
            'to' => $one->end->at->toArray(),
            'radius' => $one->radiusMm,
        ];
    }

    /** @return array<string, mixed> */
    private function growth(GrowthPlan $growth): array
    {
        return [
            'temperature' => $this->figures->figure($growth->temperature),
            'loops' => array_map(fn (Loop $one): array => [
                'name' => $one->name,
                'runs' => $one->runs,
                'growth' => $this->figures->length($one->growthMm),
                'taken' => $one->taken,
                'advice' => $one->advice,
            ], $growth->loops),
            'weights' => array_map(fn (Weight $one): array => [
                'run' => $one->run,
                'mass' => $this->figures->plain(Quantity::Mass, $one->massKg),
                'arm' => $this->figures->length($one->armMm),
                'moment' => $this->figures->plain(Quantity::Moment, $one->momentNm()),
                'carried' => array_map(fn (string $name, float $kg): array => [
                    'name' => $name,
                    'mass' => $this->figures->plain(Quantity::Mass, $kg),
                ], array_keys($one->carried), $one->carried),
            ], $growth->weights),
            'hung' => array_map(fn (Hung $one): array => [
                'name' => $one->part->name,
                'sag' => $this->figures->length($one->sagMm),
                'load' => $this->figures->plain(Quantity::Force, $one->loadN),
                'bump' => $this->figures->plain(Quantity::Force, $one->bumpN),
            ], $growth->hung),
        ];
    }

    /** @return array<string, mixed> */
    private static function task(int $order, Task $task, FitPlan $fit): array
    {
        $build = $fit->build;
        $moved = $build->moved[$task->id] ?? null;
        $broken = array_values(array_filter(
            $build->broken,
            static fn (Before $one): bool => $one->then === $task->id,
        ));

        return [
            'id' => $task->id,
            'order' => $order,
            'kind' => $task->kind->value,
            'phase' => $task->phase->value,
            'phaseLabel' => $task->phase->label(),
            'run' => $task->run,
            'joint' => $task->joint?->id,
            'brings' => $task->brings,
            'to' => $task->to,
            'title' => $task->title,
            'why' => $task->why,
            'standing' => $fit->standing[$task->id] ?? [],
            'needs' => array_map(self::before(...), $build->reasons[$task->id] ?? []),
            'broken' => array_map(self::before(...), $broken),
            'moved' => $moved === null ? null : ['before' => $moved->value, 'why' => $moved->why],
        ];
    }

    /** @return array<string, string> */
    private static function before(Before $one): array
    {
        return ['first' => $one->first, 'why' => $one->why, 'otherwise' => $one->otherwise];
    }

    /** @return array<string, mixed> */
    private function access(JointAccess $one, FitPlan $fit): array
    {
        $task = $fit->build->find(StepKind::Weld->key($one->joint));
        $advice = $task?->joint === null ? '' : $one->advice($task->joint, $task->phase === Phase::Together);

        return [
            'joint' => $one->joint,
            'alone' => $this->cup($one->alone),
            'inTurn' => $this->cup($one->inTurn),
            'together' => $this->cup($one->together),
            'inPlace' => $this->cup($one->inPlace),
            'by' => $one->by,
            'sideFirst' => self::arcs($one->sideFirst()),
            'inTwo' => $this->share($one->shareInTwo()),
            'isReachedInTwo' => $one->shareInTwo() >= JointAccess::ENOUGH,
            'advice' => $advice,
            'root' => [
                'share' => $this->share($one->root->share),
                'from' => $one->root->from,
                'distance' => $this->figures->length($one->root->distanceMm),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function cup(CupFit $fit): array
    {
        return [
            'cup' => $fit->cup,
            'isLong' => $fit->isLong,
            'isWhole' => $fit->isWhole(),
            'share' => $this->share($fit->share),
            'arcs' => self::arcs($fit->arcs),
        ];
    }

    /**
     * @param  list<array{float, float}>  $arcs
     * @return list<array{float, float}>
     */
    private static function arcs(array $arcs): array
    {
        return array_map(static fn (array $arc): array => [round($arc[0], 1), round($arc[1], 1)], $arcs);
    }

    /** @return array<string, mixed> */
    private function share(float $share): array
    {
        return $this->figures->plain(Quantity::Percent, round(100 * $share));
    }
}
