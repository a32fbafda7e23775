<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

use UpsweptBead\Core\Solve\Merge\Mitre;
use UpsweptBead\Core\Solve\Merge\PieCut;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Merge\Branch;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Plan\EndTemplates;
use UpsweptBead\Core\Stage\Plan\Sketch;

/** The wrap templates of a job: one for each cut end of a tube that is not square, and one for each hole. */
final readonly class JobTemplate
{
    /** @return WrapTemplate|string the template, or why there is none */
    public static function of(Sketch $sketch, string $id, float $paperMm): WrapTemplate|string
    {
        $number = $sketch->job->number;
        foreach ($sketch->layout->placement->collectors->all as $collector) {
            for ($i = 0; $i < $collector->build->inlets; $i++) {
                if ($collector->mark($i) === $id) {
                    return self::collector("$number $id", $collector, $paperMm);
                }
            }
        }
        foreach ($sketch->cut->pieces as $pieces) {
            foreach ($pieces as $piece) {
                if ($piece->pie !== null && self::wedge($piece) === $id) {
                    return self::ofWedge("$number $id", $piece->pie, $paperMm);
                }
            }
        }
        foreach ($sketch->layout->placement->slants as $slant) {
            if (EndTemplates::ofSlant($sketch, $slant) === $id) {
                $odMm = $slant->mitre->tube->odMm;

                return WrapTemplate::ofEnd("$number $id", $slant->mitre->end(), $odMm, $paperMm, ! $slant->isStart);
            }
        }
        foreach ($sketch->layout->placement->branches as $branch) {
            $template = self::branch($sketch, $branch, $id, "$number $id", $paperMm);
            if ($template !== null) {
                return $template;
            }
        }

        return sprintf('There is no template "%s" in this job.', mb_substr($id, 0, 20));
    }

    /** What the template of a piece's wedges is called: every cut of them is the same. */
    public static function wedge(Piece $piece): string
    {
        return "$piece->mark-wedge";
    }

    private static function ofWedge(string $mark, PieCut $pie, float $paperMm): WrapTemplate|string
    {
        $mitre = Mitre::of($pie->tube, $pie->mitre, $pie->wedge()->outerMm);

        return $mitre instanceof Mitre
            ? WrapTemplate::ofEnd($mark, $mitre->end(), $pie->tube->odMm, $paperMm)
            : 'These wedges have no side to lay a template on.';
    }

    private static function collector(string $mark, BuiltCollector $collector, float $paperMm): WrapTemplate|string
    {
        return match (true) {
            $collector->shape === null => 'A bought collector has no template, and one that cannot be made has none either.',
            $collector->isBent() => 'A bend cannot be unrolled: scribe it by its heights above the plate.',
            default => WrapTemplate::ofEnd($mark, $collector->shape->cut->line(0), $collector->tube()->odMm, $paperMm),
        };
    }

    private static function branch(
        Sketch $sketch,
        Branch $branch,
        string $id,
        string $mark,
        float $paperMm,
    ): WrapTemplate|string|null {
        [$end, $hole] = EndTemplates::ids($sketch, $branch);
        if ($id !== $end && $id !== $hole) {
            return null;
        }
        $saddle = $branch->saddle;
        if ($saddle === null) {
            return $branch->lack;
        }

        return $id === $hole
            ? WrapTemplate::ofHole($mark, $saddle, $paperMm)
            : WrapTemplate::ofEnd($mark, $saddle->end(), $saddle->branch->odMm, $paperMm, $branch->isStart);
    }
}
