<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Solve\Merge\BendMarks;
use UpsweptBead\Core\Solve\Merge\Collector\MergeCollector;
use UpsweptBead\Core\Solve\Merge\Collector\Quarters;
use UpsweptBead\Core\Solve\Merge\Mitre;
use UpsweptBead\Core\Solve\Merge\PieCut;
use UpsweptBead\Core\Solve\Merge\RoundTube;
use UpsweptBead\Core\Solve\Merge\Saddle;
use UpsweptBead\Core\Solve\Merge\Seat;
use UpsweptBead\Core\Solve\Merge\Slip;

/** Reads the open merge problem format, as a file from anywhere. Fields it does not know are passed over. */
final readonly class MergeProblemReader
{
    public const FORMAT = 'merge-problem/1';

    private const MOST_ROWS = 3600;

    private const MOST_PIECES = 200;

    private const MOST_WELDS = 200;

    /**
     * @return MergeProblem|list<Fault>|list<Refusal> the joint worked out, what is wrong with the file, or why there is
     *                                                no such joint
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): MergeProblem|array
    {
        $faults = new Faults;
        $root = Node::open($json, self::FORMAT, null, $faults);
        if ($root->at('kind')->isMissing()) {
            $root->at('kind')->complain('missing', 'is missing');
        }
        $kind = $root->at('kind')->choice(MergeKind::class, MergeKind::Slip);
        $wrong = $faults->all();
        if ($wrong !== []) {
            return $wrong;
        }
        $psiDeg = $kind->hasTables() ? self::psi($root->at('psi')) : [];
        $paperMm = $root->at('paper')->isMissing() ? 0.0 : ProblemNumbers::notNegative($root->at('paper'));
        $joint = self::joint($root, $kind, $faults);
        $wrong = $faults->onePerPlace();
        if ($wrong !== []) {
            return $wrong;
        }
        if ($joint instanceof Refusal || is_array($joint) || $joint === null) {
            return array_values(array_filter(is_array($joint) ? $joint : [$joint]));
        }

        return new MergeProblem($root->at('case')->text('', 200), $joint, $psiDeg, $paperMm);
    }

    /** @return MergeCollector|Quarters|Saddle|Mitre|PieCut|BendMarks|Slip|Refusal|list<Refusal>|null null where the file is wrong */
    private static function joint(
        Node $root,
        MergeKind $kind,
        Faults $faults,
    ): MergeCollector|Quarters|Saddle|Mitre|PieCut|BendMarks|Slip|Refusal|array|null {
        return match ($kind) {
            MergeKind::CollectorStraight => MergeCollectors::straight($root, $faults),
            MergeKind::CollectorBent => MergeCollectors::bent($root, $faults),
            MergeKind::CollectorQuarters => MergeCollectors::quarters($root, $faults),
            MergeKind::Saddle => self::saddle($root, $faults),
            MergeKind::Mitre => self::mitre($root, $faults),
            MergeKind::PieCut => self::pieCut($root, $faults),
            MergeKind::Bend => self::marks($root, $faults, ProblemNumbers::within(...)),
            MergeKind::Donut => self::marks($root, $faults, null),
            MergeKind::Slip => self::slip($root, $faults),
        };
    }

    private static function saddle(Node $root, Faults $faults): Saddle|Refusal|null
    {
        $main = self::tube($root->at('main'));
        $branch = self::tube($root->at('branch'));
        $angleDeg = ProblemNumbers::positive($root->at('angle'));
        if ($angleDeg >= 180.0) {
            $root->at('angle')->complain('out-of-range', 'must be more than 0 and less than 180');
        }
        $offsetMm = $root->at('offset')->number(1e5);
        if ($root->at('seat')->isMissing()) {
            $root->at('seat')->complain('missing', 'is missing');
        }
        $seat = $root->at('seat')->choice(Seat::class, Seat::SetOn);

        return $faults->all() === [] ? Saddle::of($main, $branch, deg2rad($angleDeg), $offsetMm, $seat) : null;
    }

    private static function mitre(Node $root, Faults $faults): Mitre|Refusal|null
    {
        $tube = self::tube($root->at('tube'));
        $angleDeg = ProblemNumbers::notNegative($root->at('angle'));
        if ($angleDeg >= 90.0) {
            $root->at('angle')->complain('out-of-range', 'must be less than 90');
        }
        $lengthMm = ProblemNumbers::positive($root->at('length'));

        return $faults->all() === [] ? Mitre::of($tube, deg2rad($angleDeg), $lengthMm) : null;
    }

    private static function pieCut(Node $root, Faults $faults): PieCut|Refusal|null
    {
        $tube = self::tube($root->at('tube'));
        $clrMm = ProblemNumbers::positive($root->at('clr'));
        $angleDeg = ProblemNumbers::positive($root->at('angle'));
        if ($angleDeg > 360.0) {
            $root->at('angle')->complain('out-of-range', 'must be at most 360');
        }
        $welds = ProblemNumbers::within($root->at('welds'), 1, self::MOST_WELDS);
        if ($welds !== floor($welds)) {
            $root->at('welds')->complain('not-whole', 'must be a whole number');
        }
        if ($angleDeg / $welds >= 180.0) {
            $root->at('welds')->complain('too-few', 'must be so many that each turns the tube by less than 180 degrees');
        }
        $kerfMm = ProblemNumbers::notNegative($root->at('kerf'));
        $legMm = ProblemNumbers::notNegative($root->at('end_leg'));
        $isFlipped = $root->at('flip')->boolean();
        $stickMm = $root->at('stick')->isMissing() ? null : ProblemNumbers::positive($root->at('stick'));

        return $faults->all() === []
            ? PieCut::of($tube, $clrMm, deg2rad($angleDeg), (int) $welds, $kerfMm, $legMm, $isFlipped, $stickMm)
            : null;
    }

    /** @param  (callable(Node, float, float): float)|null  $stock  reads the angle of the bend; null for a closed ring */
    private static function marks(Node $root, Faults $faults, ?callable $stock): BendMarks|Refusal|null
    {
        $tube = self::tube($root->at('tube'));
        $clrMm = ProblemNumbers::positive($root->at('clr'));
        $kerfMm = ProblemNumbers::notNegative($root->at('kerf'));
        $angles = array_map(
            static fn (Node $one): float => deg2rad(ProblemNumbers::positive($one)),
            $root->at('angles')->items(self::MOST_PIECES),
        );
        if ($angles === []) {
            $root->at('angles')->complain('none', 'must have at least one angle');
        }
        $there = $stock === null ? null : deg2rad($stock($root->at('stock_angle'), 0.001, 360.0));

        return $faults->all() === [] ? BendMarks::of($tube, $clrMm, $kerfMm, $angles, $there) : null;
    }

    /** @return Slip|list<Refusal>|null */
    private static function slip(Node $root, Faults $faults): Slip|array|null
    {
        $upstream = self::tube($root->at('upstream'));
        $downstream = self::tube($root->at('downstream'));
        $depthMm = ProblemNumbers::positive($root->at('depth'));
        $leadInMm = ProblemNumbers::notNegative($root->at('lead_in'));
        $clearanceMm = ProblemNumbers::notNegative($root->at('clearance'));
        $mostMm = ProblemNumbers::notNegative($root->at('max_clearance'));
        if ($mostMm < $clearanceMm) {
            $root->at('max_clearance')->complain('too-little', 'must not be less than the clearance wanted');
        }
        $mostPct = ProblemNumbers::notNegative($root->at('max_expand_pct'));
        $legsMm = [];
        foreach ($root->at('legs')->isMissing() ? [] : $root->at('legs')->entries(2) as $end => $leg) {
            $legsMm[(string) $end] = ProblemNumbers::notNegative($leg);
        }

        return $faults->all() === []
            ? Slip::of($upstream, $downstream, $depthMm, $leadInMm, $clearanceMm, $mostMm, $mostPct, $legsMm)
            : null;
    }

    /** A tube by its outside diameter and wall. */
    public static function tube(Node $node): RoundTube
    {
        $odMm = ProblemNumbers::positive($node->at('od'));
        $wallMm = ProblemNumbers::positive($node->at('wall'));
        // A wall is held against an outside diameter only where there is one.
        if ($node->at('od')->isAbove(0.0) && $wallMm >= $odMm / 2) {
            $node->at('wall')->complain('too-thick', 'must be less than half the outside diameter');
        }

        return new RoundTube($odMm, $wallMm);
    }

    /** @return list<float> */
    private static function psi(Node $node): array
    {
        return array_map(static function (Node $one): float {
            $deg = ProblemNumbers::notNegative($one);
            if ($deg >= 360.0) {
                $one->complain('out-of-range', 'must be less than 360');
            }

            return $deg;
        }, $node->items(self::MOST_ROWS));
    }
}
