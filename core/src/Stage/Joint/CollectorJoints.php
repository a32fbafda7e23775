<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Job\Collector\OutletPart;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;

/** Names the joints of a collector in the order they are welded: its seams, then what is welded to its outlet. */
final readonly class CollectorJoints
{
    /** @return list<Joint> */
    public static function of(BuiltCollector $collector, Job $job): array
    {
        $joints = [];
        $tube = $collector->tube();
        foreach ($collector->seams() as $i => $seam) {
            $joints[] = new Joint(
                self::id($collector, $i + 1),
                $collector->build->letter,
                JointType::MergeSeam,
                new Side($collector->mark($seam->first), $job->metal, $tube->wallMm),
                new Side($collector->mark($seam->second), $job->metal, $tube->wallMm),
                new Seam($collector->sizes->leg->value, $seam->lengthMm, $tube->odMm, IndexMark::forJoint($i + 1)),
            );
        }
        $plate = $collector->shape?->plate;
        if ($plate !== null) {
            $number = count($joints) + 1;
            $joints[] = new Joint(
                self::id($collector, $number),
                $collector->build->letter,
                JointType::MergeSeam,
                new Side($collector->spec->name, $job->metal, $tube->wallMm),
                new Side('Centre plate', $job->metal, $tube->wallMm),
                new Seam($collector->lengthMm(), $plate->edgeMm, $tube->odMm, IndexMark::forJoint($number)),
            );
        }

        return $collector->build->part === null
            ? $joints
            : [...$joints, ...self::atOutlet($collector, $collector->build->part, count($joints), $job)];
    }

    /**
     * @param  int  $before  joints it has before these
     * @return list<Joint>
     */
    private static function atOutlet(BuiltCollector $collector, OutletPart $part, int $before, Job $job): array
    {
        $joints = [];
        $outlet = $collector->sizes->outlet;
        $wallMm = $collector->tube()->wallMm;
        foreach (self::types($part->kind) as $i => $type) {
            $number = $before + $i + 1;
            $acrossMm = $type === JointType::FlangeSeal ? $outlet->odMm - 2 * $wallMm : $outlet->odMm;
            $joints[] = new Joint(
                self::id($collector, $number),
                $collector->build->letter,
                $type,
                new Side($collector->spec->name, $job->metal, $wallMm),
                new Side($part->name, $part->metal, $part->wall->mm),
                Seam::round($collector->lengthMm(), $acrossMm, $outlet->odMm, $number),
            );
        }

        return $joints;
    }

    private static function id(BuiltCollector $collector, int $number): string
    {
        return "{$collector->build->letter}J$number";
    }

    /** @return list<JointType> */
    private static function types(EndKind $kind): array
    {
        return $kind === EndKind::VBand
            ? [JointType::VBandButt]
            : [JointType::FlangeSeal, JointType::FlangeFillet];
    }
}
