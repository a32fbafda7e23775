<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Flatness\FacePoint;
use UpsweptBead\Core\Base\Flatness\Land;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\Measure;
use UpsweptBead\Core\Stage\Bench\Ready;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Sketch;

/** Writes the whole plan as plain arrays: numbers in base units, text in the job's own units. */
final readonly class PlanWriter
{
    /**
     * Only the routes, what they keep clear of and the notices: what is looked at while something is dragged.
     *
     * @return array<string, mixed>
     */
    public static function sketch(Sketch $sketch): array
    {
        $figures = new FigureWriter($sketch->job->units);

        return [
            'runs' => (new RunWriter($figures, $sketch))->shapes(),
            'set' => (new SetPlanWriter($figures))->layout($sketch->layout, $sketch->job),
            'merge' => (new MergeWriter($figures, $sketch->rates))->shapes($sketch->layout->placement),
            'notices' => self::notices($sketch->notices()),
        ];
    }

    /** @return array<string, mixed> every figure with its working */
    public static function toArray(Plan $plan): array
    {
        return [
            ...self::plan($plan, new FigureWriter($plan->job->units)),
            'steps' => self::steps($plan->steps, $plan->job->units),
        ];
    }

    /**
     * For the screens: without the workings, which are most of a plan and asked for when a figure is opened, and
     * without the steps, which the bench gets from the release it works by.
     *
     * @return array<string, mixed>
     */
    public static function forScreens(Plan $plan): array
    {
        return self::plan($plan, new FigureWriter($plan->job->units, false));
    }

    /** @return array<string, mixed> */
    private static function plan(Plan $plan, FigureWriter $figures): array
    {
        $stages = new StageWriter($figures);

        return [
            'runs' => (new RunWriter($figures, $plan->sketch))->runs(),
            'set' => (new SetPlanWriter($figures))->layout($plan->layout, $plan->job),
            'merge' => (new MergeWriter($figures, $plan->sketch->rates))->toArray($plan->sketch),
            'measured' => MeasuredWriter::toArray($plan->layout->surveyed, $plan->job->units),
            'tuning' => (object) $figures->withReasons()->each([
                ...$plan->survey->tuning,
                ...array_intersect_key($plan->survey->intake, ['metal' => true]),
            ]),
            'jointCount' => count($plan->joints->joints),
            'cut' => $stages->cut($plan->cut),
            'fit' => (new FitWriter($figures))->fit($plan->fit),
            'weld' => $stages->weld($plan->weld),
            'schedule' => $stages->schedule($plan->schedule, $plan->weld),
            'notices' => self::notices($plan->notices()),
        ];
    }

    /**
     * Only the stages that follow the order in which runs go in, once that is known.
     *
     * @return array<string, mixed>
     */
    public static function following(Plan $plan): array
    {
        $figures = new FigureWriter($plan->job->units);
        $stages = new StageWriter($figures);

        return [
            'fit' => (new FitWriter($figures))->fit($plan->fit),
            'weld' => $stages->weld($plan->weld),
            'schedule' => $stages->schedule($plan->schedule, $plan->weld),
            'notices' => self::notices($plan->notices()),
        ];
    }

    /**
     * @param  list<BenchStep>  $steps
     * @return list<array<string, mixed>>
     */
    public static function steps(array $steps, UnitSystem $shownIn): array
    {
        $figures = new FigureWriter($shownIn);

        return array_map(static fn (BenchStep $step): array => self::step($step, $figures), $steps);
    }

    /**
     * @param  list<Notice>  $notices
     * @return list<array<string, string>>
     */
    public static function notices(array $notices): array
    {
        return array_map(static fn (Notice $notice): array => [
            'severity' => $notice->severity->value, 'path' => $notice->path, 'message' => $notice->message,
        ], $notices);
    }

    /** @return array<string, mixed> */
    private static function step(BenchStep $step, FigureWriter $figures): array
    {
        return [
            'id' => $step->id,
            'kind' => $step->kind->value,
            'kindLabel' => $step->kind->label(),
            'subject' => $step->subject,
            'round' => $step->round,
            'of' => $step->of,
            'clock' => $step->kind->clock()?->value,
            'ready' => array_map(
                static fn (Ready $one): array => [
                    'joint' => $one->joint, 'limit' => $one->limitC, 'seconds' => $one->seconds,
                ],
                $step->ready,
            ),
            'title' => $step->title,
            'do' => $step->do,
            'caution' => $step->kind->caution(),
            'seconds' => $step->seconds,
            'cools' => $step->coolsS,
            'points' => $step->points,
            'after' => $step->after,
            'group' => $step->group,
            'watched' => $step->rig !== null,
            'face' => $step->face === null ? null : [
                'lands' => array_map(static fn (Land $one): array => [
                    'x' => $one->xMm, 'y' => $one->yMm, 'inner' => $one->innerMm, 'outer' => $one->outerMm,
                ], $step->face->lands),
                'limit' => $figures->plain(Quantity::Wall, $step->face->limitMm)['text'],
                'points' => array_map(static fn (FacePoint $one): array => [
                    'name' => $one->name, 'label' => $one->label, 'x' => $one->xMm, 'y' => $one->yMm,
                ], $step->face->points),
            ],
            'inspection' => $step->inspection === null ? null : LooksWriter::limits($step->inspection),
            'measures' => array_map(
                static fn (Measure $measure): array => [
                    'name' => $measure->name,
                    'label' => $measure->label,
                    'quantity' => $measure->quantity->value,
                    'planned' => $measure->planned === null
                            ? null
                            : $figures->plain($measure->quantity, $measure->planned)['text'],
                    'most' => $measure->most === null ? null : $figures->limit($measure->quantity, $measure->most),
                    'range' => $figures->range($measure),
                    'asked' => $measure->isAsked,
                ],
                $step->measures,
            ),
        ];
    }
}
