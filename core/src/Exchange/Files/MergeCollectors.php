<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Solve\Merge\Collector\BentCollector;
use UpsweptBead\Core\Solve\Merge\Collector\LeaningTube;
use UpsweptBead\Core\Solve\Merge\Collector\MergeBend;
use UpsweptBead\Core\Solve\Merge\Collector\Outlet;
use UpsweptBead\Core\Solve\Merge\Collector\Quarters;
use UpsweptBead\Core\Solve\Merge\Collector\StraightCollector;

/** The collectors of the merge problem format. Each gives null where the file is wrong. */
final readonly class MergeCollectors
{
    private const MOST_TUBES = 6;

    private const MOST_HALF_ANGLE_DEG = 60.0;

    public static function straight(Node $root, Faults $faults): StraightCollector|Refusal|null
    {
        $nodes = self::tubes($root->at('tubes'));
        $tubes = [];
        foreach ($nodes as $i => [$id, $node]) {
            $lean = self::own($node, $root, 'half_angle');
            $leanDeg = ProblemNumbers::notNegative($lean);
            if ($leanDeg >= self::MOST_HALF_ANGLE_DEG) {
                $lean->complain('out-of-range', 'must be less than 60');
            }
            $tubes[] = new LeaningTube(
                $id,
                MergeProblemReader::tube($node),
                deg2rad($leanDeg),
                ProblemNumbers::positive(self::own($node, $root, 'inlet_radius')),
                2 * M_PI * $i / count($nodes),
            );
        }
        $outlet = self::outlet($root->at('outlet'));

        return $faults->all() === [] && $tubes !== [] ? StraightCollector::of($tubes, $outlet) : null;
    }

    public static function quarters(Node $root, Faults $faults): Quarters|Refusal|null
    {
        $blankMm = ProblemNumbers::positive($root->at('blank'));
        $collector = self::straight($root, $faults);

        return $collector instanceof StraightCollector ? Quarters::of($collector, $blankMm) : $collector;
    }

    public static function bent(Node $root, Faults $faults): BentCollector|Refusal|null
    {
        $tubes = [];
        foreach (self::tubes($root->at('tubes')) as [$id, $node]) {
            $tubes[$id] = MergeProblemReader::tube($node);
        }
        $bend = $root->at('bend');
        $angleDeg = ProblemNumbers::positive($bend->at('angle'));
        if ($angleDeg > 90.0) {
            $bend->at('angle')->complain('out-of-range', 'must be at most 90');
        }
        $merge = new MergeBend(
            ProblemNumbers::positive($bend->at('clr')),
            deg2rad($angleDeg),
            ProblemNumbers::notNegative($bend->at('inlet_leg')),
            ProblemNumbers::notNegative($bend->at('far_leg')),
        );
        $inletMm = ProblemNumbers::positive($root->at('inlet_radius'));
        $outlet = self::outlet($root->at('outlet'));

        return $faults->all() === [] && $tubes !== [] ? BentCollector::of($tubes, $merge, $inletMm, $outlet) : null;
    }

    /** What a tube says itself goes before what is said for all. */
    private static function own(Node $tube, Node $root, string $field): Node
    {
        return $tube->at($field)->isMissing() ? $root->at($field) : $tube->at($field);
    }

    /** @return list<array{string, Node}> with their names */
    private static function tubes(Node $list): array
    {
        $nodes = $list->items(self::MOST_TUBES);
        if (count($nodes) < 2) {
            $list->complain('too-few', 'must be two to six tubes');
        }
        $seen = [];
        $tubes = [];
        foreach ($nodes as $node) {
            $id = $node->at('id')->required();
            if ($id !== '' && isset($seen[$id])) {
                $node->at('id')->complain('twice', "\"$id\" is there already");
            }
            $seen[$id] = true;
            $tubes[] = [$id, $node];
        }

        return $tubes;
    }

    private static function outlet(Node $node): Outlet
    {
        if ($node->at('plane')->isMissing() === $node->at('diameter')->isMissing()) {
            $node->complain('not-one', 'must have either a plane or a diameter');

            return Outlet::atPlane(1.0);
        }

        return $node->at('plane')->isMissing()
            ? Outlet::ofDiameter(ProblemNumbers::positive($node->at('diameter')))
            : Outlet::atPlane(ProblemNumbers::positive($node->at('plane')));
    }
}
