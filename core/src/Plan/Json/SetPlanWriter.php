<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Json;

use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\KeepOutSpec;
use UpsweptBead\Core\Job\RouteChoice;
use UpsweptBead\Core\Job\SetWriter;
use UpsweptBead\Core\Layout\Gap;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Layout\LengthCheck;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Plan\Comparison;
use UpsweptBead\Core\Route\Insertion\Insertion;
use UpsweptBead\Core\Route\Insertion\Step;
use UpsweptBead\Core\Route\Insertion\Stuck;
use UpsweptBead\Core\Route\Looks\Style;
use UpsweptBead\Core\Route\Search\Hindrance;
use UpsweptBead\Core\Route\Search\SetAnswer;
use UpsweptBead\Core\Route\Search\SetStatus;
use UpsweptBead\Core\Route\Search\Way;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Survey\Meeting;
use UpsweptBead\Core\Units\Quantity;

/** Writes what holds for the runs together, and designs found for them. */
final readonly class SetPlanWriter
{
    private RouteWriter $routes;

    public function __construct(private FigureWriter $figures)
    {
        $this->routes = new RouteWriter($figures);
    }

    /** @return array<string, mixed> */
    public function layout(Layout $layout, Job $job): array
    {
        return [
            'keepOuts' => array_map($this->keepOut(...), $job->set->keepOuts),
            'gaps' => array_map($this->gap(...), $layout->gaps),
            'lengths' => array_map($this->lengths(...), $layout->lengths),
            'style' => $this->style($layout->style),
            'meeting' => $this->meeting(Meeting::of($job)),
            'rules' => [
                'firstStraight' => $this->figures->length($layout->rules->limits->firstStraightMm),
                'innerStraight' => $this->figures->length($layout->rules->limits->innerStraightMm),
                'lastStraight' => $this->figures->length($layout->rules->limits->lastStraightMm),
                'gap' => $this->figures->length($layout->rules->gapMm),
                'maxBends' => $this->figures->plain(Quantity::Count, $layout->rules->maxBends),
            ],
        ];
    }

    /** @return array<string, mixed>|null */
    private function meeting(?Meeting $meeting): ?array
    {
        return $meeting === null ? null : [
            'name' => $meeting->collector->name,
            'runs' => $meeting->collector->runs,
            'assignment' => $meeting->collector->mode->value,
            'entry' => $meeting->collector->entry->value,
            'at' => array_map(fn (float $mm): string => $this->figures->length($mm)['text'], $meeting->at->toArray()),
            'axis' => array_map(static fn (float $part): float => round($part, 4), $meeting->axis->toArray()),
        ];
    }

    /** @return array<string, mixed> */
    private function style(Style $style): array
    {
        return [
            'gapSpread' => $style->gapSpreadMm === null ? null : $this->figures->length($style->gapSpreadMm),
            'flatness' => array_map(
                fn (string $letter, float $mm): array => ['letter' => $letter, ...$this->figures->length($mm)],
                array_map(strval(...), array_keys($style->flatnessMm)),
                $style->flatnessMm,
            ),
            'mirror' => $style->mirrorMm === null ? null : $this->figures->length($style->mirrorMm),
        ];
    }

    /** @return array<string, mixed> */
    public function comparison(Comparison $one): array
    {
        return [
            'name' => $one->design->name,
            'design' => SetWriter::design($one->design),
            'runs' => array_map(fn (RoutedRun $routed): array => [
                'letter' => $routed->spec->letter,
                'run' => $this->routes->run($routed->run),
            ], $one->plan->layout->runs),
        ];
    }

    /** @return array<string, mixed> */
    public static function insertion(Insertion $insertion): array
    {
        return [
            'order' => array_map(
                static fn (Step $step): array => [
                    'run' => $step->tube,
                    'direction' => $step->direction,
                    'along' => $step->along->value,
                    'tip' => $step->tip === null
                            ? null
                            : ['about' => $step->tip->about, 'axis' => $step->tip->axis, 'deg' => $step->tip->deg],
                ],
                $insertion->order,
            ),
            'stuck' => array_map(self::stuck(...), $insertion->stuck),
            'alone' => array_map(self::stuck(...), $insertion->alone),
        ];
    }

    /** @return array{run: string, by: list<string>} */
    private static function stuck(Stuck $stuck): array
    {
        return ['run' => $stuck->tube, 'by' => $stuck->by];
    }

    /**
     * A found design, with what is needed to draw it, compare it and take it.
     *
     * @return array<string, mixed>
     */
    public function answer(SetAnswer $answer): array
    {
        $lengths = array_map(static fn (Way $way): float => $way->length, $answer->ways);

        return [
            'status' => $answer->status->value,
            'objective' => $answer->status === SetStatus::Solved ? round($answer->objective, 2) : null,
            'found' => round($answer->bestSeconds, 2),
            'bends' => array_sum(array_map(static fn (Way $way): int => $way->bends(), $answer->ways)),
            'odd' => array_sum(array_map(static fn (Way $way): int => $way->odd, $answer->ways)),
            'spread' => $this->figures->length($lengths === [] ? 0.0 : max($lengths) - min($lengths)),
            'total' => $this->figures->length(array_sum($lengths)),
            'runs' => array_map($this->way(...), $answer->ways),
            'reasons' => array_map(fn (Hindrance $reason): string => $this->sentence($reason), $answer->reasons),
            'nearest' => $answer->nearest === null ? null : [
                'run' => $answer->nearest->runner, 'other' => $answer->nearest->other, 'what' => $answer->nearest->what,
                'by' => $this->figures->length($answer->nearest->byMm),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function way(Way $way): array
    {
        $points = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), array_chunk($way->vertices, 3));
        $start = Frame::facing($way->span->port->at, $way->span->port->direction);
        $run = TubeRun::fromXyz($points, $way->radii, $start->reference);

        return [
            'letter' => $way->span->port->id,
            'inlet' => $way->span->inlet->id,
            'at' => $way->span->inlet->at->toArray(),
            'direction' => $way->span->inlet->direction->toArray(),
            'bends' => $way->bends(),
            'run' => $this->routes->run($run),
            'route' => JobWriter::route(RouteChoice::of($run)),
        ];
    }

    /** @return array<string, mixed> */
    private function keepOut(KeepOutSpec $one): array
    {
        [$x, $y, $z] = KeepOutSpec::axes($one->direction);

        return [
            'name' => $one->name,
            'kind' => $one->kind->value,
            'kindLabel' => $one->kind->label(),
            'shape' => $one->shape->value,
            'at' => array_map(static fn ($length): float => $length->mm, $one->at),
            'to' => array_map(static fn ($length): float => $length->mm, $one->to),
            'size' => array_map(static fn ($length): float => $length->mm, $one->size),
            'radius' => $one->radius->mm,
            'mesh' => $one->mesh,
            'axes' => [$x->toArray(), $y->toArray(), $z->toArray()],
        ];
    }

    /** @return array<string, mixed> */
    private function gap(Gap $gap): array
    {
        return [
            'run' => $gap->run,
            'other' => $gap->other,
            'isRun' => $gap->isRun,
            'gap' => $this->figures->length($gap->gapMm),
            'needed' => $this->figures->length($gap->neededMm),
            'kept' => $gap->isKept(),
            'from' => $gap->from->toArray(),
            'to' => $gap->to?->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    private function lengths(LengthCheck $check): array
    {
        return [
            'runs' => array_map(
                fn (string $letter, float $length): array => ['letter' => $letter, ...$this->figures->length($length)],
                array_map(strval(...), array_keys($check->lengthsMm)),
                $check->lengthsMm,
            ),
            'common' => $this->figures->length($check->commonMm),
            'tolerance' => $this->figures->length($check->toleranceMm),
            'spread' => $this->figures->length($check->spreadMm()),
            'hasTarget' => $check->hasTarget,
            'holds' => $check->holds(),
        ];
    }

    private function sentence(Hindrance $reason): string
    {
        $by =
            $reason->what === 'turn'
                ? $this->figures->plain(Quantity::Angle, $reason->amount)['text']
                : $this->figures->length($reason->amount)['text'];

        return match ($reason->what) {
            'clearance' => "Run $reason->runner has no way past $reason->by: it is too near by $by. What would open it: $reason->opens.",
            'gap' => "Runs $reason->runner and $reason->by begin too near each other, by $by. What would open it: $reason->opens.",
            'length' => "Run $reason->runner cannot be as short as its target, by $by. What would open it: $reason->opens.",
            default => "Run $reason->runner has to turn $by more than its bends allow. What would open it: $reason->opens.",
        };
    }
}
