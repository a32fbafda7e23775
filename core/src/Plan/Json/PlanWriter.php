<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Json;

use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Bench\Measure;
use UpsweptBead\Core\Plan\Notice;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Plan\RunPlan;
use UpsweptBead\Core\Plan\Set\NutReach;
use UpsweptBead\Core\Units\Quantity;

/** Writes the whole plan as plain arrays: numbers in base units, text in the job's own units. */
final readonly class PlanWriter
{
    /**
     * Only the routes, what they keep clear of and the notices: what is looked at while something is dragged.
     *
     * @return array<string, mixed>
     */
    public static function routes(Plan $plan): array
    {
        $figures = new FigureWriter($plan->job->units);
        $runs = new RunWriter($figures);

        return [
            'runs' => array_map(static fn (RunPlan $run): array => $runs->shape($run), $plan->runs),
            'set' => (new SetPlanWriter($figures))->plan($plan->set, $plan->job),
            'notices' => self::notices($plan),
        ];
    }

    /** @return array<string, mixed> */
    public static function toArray(Plan $plan): array
    {
        $figures = new FigureWriter($plan->job->units);
        $runs = new RunWriter($figures);
        $volume = static fn (float $litres): array => $figures->plain(Quantity::Volume, $litres);

        return [
            'runs' => array_map(static fn (RunPlan $run): array => $runs->run($run), $plan->runs),
            'set' => (new SetPlanWriter($figures))->plan($plan->set, $plan->job),
            'tuning' => (object) $figures->each($plan->tuning),
            'nuts' => array_map(static fn (NutReach $nut): array => ['name' => $nut->nut, 'swing' => $figures->plain(Quantity::Angle, $nut->swingDeg), 'inTheWay' => $nut->inTheWay], $plan->nuts),
            'jointCount' => $plan->jointCount(),
            'argon' => [
                'torch' => $volume($plan->argon->torchL),
                'purge' => $volume($plan->argon->purgeL),
                'total' => $volume($plan->argon->torchL + $plan->argon->purgeL),
                'torchLeft' => $volume($plan->argon->torchLeftL),
                'purgeLeft' => $volume($plan->argon->purgeLeftL),
                'left' => $volume($plan->argon->torchLeftL + $plan->argon->purgeLeftL),
                'room' => $volume($plan->argon->roomL),
                'enough' => $plan->argon->isEnough(),
            ],
            'steps' => array_map(static fn (BenchStep $step): array => self::step($step, $figures), $plan->steps),
            'notices' => self::notices($plan),
        ];
    }

    /** @return list<array<string, string>> */
    private static function notices(Plan $plan): array
    {
        return array_map(static fn (Notice $notice): array => [
            'severity' => $notice->severity->value, 'path' => $notice->path, 'message' => $notice->message,
        ], $plan->notices);
    }

    /** @return array<string, mixed> */
    private static function step(BenchStep $step, FigureWriter $figures): array
    {
        return [
            'id' => $step->id,
            'kind' => $step->kind->value,
            'kindLabel' => $step->kind->label(),
            'subject' => $step->subject,
            'title' => $step->title,
            'do' => $step->do,
            'caution' => $step->kind->caution(),
            'seconds' => $step->seconds,
            'measures' => array_map(static fn (Measure $measure): array => [
                'name' => $measure->name,
                'label' => $measure->label,
                'quantity' => $measure->quantity->value,
                'planned' => $measure->planned === null ? null : $figures->plain($measure->quantity, $measure->planned)['text'],
            ], $step->measures),
        ];
    }
}
