<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Template;

use UpsweptBead\Core\Exchange\Files\MergeProblem;
use UpsweptBead\Core\Solve\Merge\Collector\Quarters;
use UpsweptBead\Core\Solve\Merge\Collector\StraightCollector;
use UpsweptBead\Core\Solve\Merge\Mitre;
use UpsweptBead\Core\Solve\Merge\Saddle;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;

/**
 * The wrap template of one tube of a merge problem. Bent tubes cannot be unrolled, and wedges are marked by lengths.
 */
final readonly class ProblemTemplate
{
    /** @return WrapTemplate|string the template, or why there is none */
    public static function of(MergeProblem $problem, string $tube): WrapTemplate|string
    {
        $joint = $problem->joint instanceof Quarters ? $problem->joint->collector : $problem->joint;
        $ids = match (true) {
            $joint instanceof StraightCollector => $joint->ids(),
            $joint instanceof Saddle => ['branch', 'main'],
            $joint instanceof Mitre => ['tube'],
            default => [],
        };
        if ($ids === []) {
            return 'This kind has no wrap template: a bend cannot be unrolled. Go by its heights or marks.';
        }
        $index = array_search($tube, $ids, true);
        if ($index === false) {
            return sprintf('--tube "%s" is none of %s.', $tube, implode(', ', $ids));
        }
        $mark = trim("$problem->name $tube");
        if ($joint instanceof Saddle && $tube === 'main') {
            return WrapTemplate::ofHole($mark, $joint, $problem->paperMm);
        }
        [$end, $odMm] = match (true) {
            $joint instanceof StraightCollector => [$joint->line($index), $joint->tubes[$index]->tube->odMm],
            $joint instanceof Saddle => [$joint->end(), $joint->branch->odMm],
            $joint instanceof Mitre => [$joint->end(), $joint->tube->odMm],
        };

        return WrapTemplate::ofEnd($mark, $end, $odMm, $problem->paperMm);
    }
}
