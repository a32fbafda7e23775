<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Joint\JointFace;
use UpsweptBead\Core\Stage\Plan\Plan;

/** Writes one joint of a plan as a card: its settings, its purge, with their workings, and what is done. */
final readonly class CardWriter
{
    /**
     * @return array<string, mixed>
     *
     * @throws \OutOfBoundsException if the plan has no such joint
     */
    public static function card(Plan $plan, string $joint): array
    {
        $figures = new FigureWriter($plan->job->units);
        $found = $plan->joints->find($joint) ?? throw new \OutOfBoundsException("There is no joint $joint.");
        $routed = $plan->layout->run($found->run);
        $face = $routed === null ? null : JointFace::of($routed->line, $found->seam->stationMm);

        return [
            'title' => $plan->job->title,
            'joint' => (new PartsWriter($figures, $plan->sketch->rates))->joint($found, $face),
            'sheet' => (new StageWriter($figures))->sheet($plan->weld->sheets[$joint], 0),
            'steps' => array_map(
                static fn (BenchStep $step): array => ['title' => $step->title, 'do' => $step->do],
                $plan->steps,
            ),
            'notices' => PlanWriter::notices($plan->notices()),
        ];
    }
}
