<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Job\Set\SetWriter;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\Insertion\Step;
use UpsweptBead\Core\Solve\Route\Insertion\Stuck;
use UpsweptBead\Core\Solve\Route\Looks\Style;
use UpsweptBead\Core\Solve\Route\Search\FoundDesign;
use UpsweptBead\Core\Solve\Route\Search\FoundRun;
use UpsweptBead\Core\Stage\Layout\Gap;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\LengthCheck;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Survey\Meeting;

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
            'meeting' => $this->meeting(Meeting::of($job, array_values($layout->tubes)[0] ?? null)),
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
    public function design(DesignSpec $design, Plan $plan): array
    {
        return [
            'name' => $design->name,
            'design' => SetWriter::design($design),
            'runs' => array_map(fn (RoutedRun $routed): array => [
                'letter' => $routed->spec->letter,
                'run' => $this->routes->run($routed->run),
            ], $plan->layout->runs),
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
     * Found designs, each with what is needed to draw it, compare it and take it.
     *
     * @param  list<FoundDesign>  $designs
     * @return list<array<string, mixed>>
     */
    public function found(array $designs): array
    {
        return array_map(
            fn (FoundDesign $one, int $i): array => [
                ...$this->foundOne($one),
                'differs' => $this->differs($one, array_slice($designs, 0, $i)),
            ],
            $designs,
            array_keys($designs),
        );
    }

    /**
     * Where it lies otherwise than the one of those before it that is most like it.
     *
     * @param  list<FoundDesign>  $before
     */
    private function differs(FoundDesign $design, array $before): string
    {
        if ($before === []) {
            return '';
        }
        $apart = array_map(static fn (FoundDesign $one): array => $design->apartMm($one), $before);
        uasort($apart, static fn (array $a, array $b): int => max([0.0, ...$a]) <=> max([0.0, ...$b]));
        $nearest = array_key_first($apart);
        $runs = array_filter($apart[$nearest], static fn (float $mm): bool => $mm >= FoundDesign::ALIKE_MM);
        arsort($runs);
        $words = array_map(
            fn (string $letter, float $mm): string => is_finite($mm)
                ? "$letter by {$this->figures->length($mm)['text']}"
                : $letter,
            array_map(strval(...), array_keys($runs)),
            $runs,
        );

        return sprintf(
            'Beside design %d: %s.',
            $nearest + 1,
            $words === [] ? 'other inlets' : 'other ways for '.implode(', ', $words),
        );
    }

    /** @return array<string, mixed> */
    private function foundOne(FoundDesign $design): array
    {
        $lengths = $design->lengthsMm();

        return [
            'seed' => $design->seed,
            'objective' => round($design->objective, 2),
            'found' => round($design->foundS, 2),
            'bends' => $design->bends(),
            'odd' => $design->oddAngles,
            'spread' => $this->figures->length($lengths === [] ? 0.0 : max($lengths) - min($lengths)),
            'total' => $this->figures->length(array_sum($lengths)),
            'runs' => array_map(fn (FoundRun $one): array => [
                'letter' => $one->port,
                'inlet' => $one->inlet,
                'at' => $one->at->toArray(),
                'direction' => $one->direction->toArray(),
                'bends' => count($one->run->bends),
                'run' => $this->routes->run($one->run),
                'route' => JobWriter::route(RouteChoice::of($one->run)),
            ], $design->runs),
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
}
