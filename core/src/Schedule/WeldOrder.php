<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

use UpsweptBead\Core\Branching\MergeSeam;
use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Fit\TightSeam;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Joint\JointType;

/**
 * The order in which the joints of a whole job are welded, common practice: collectors whole, before any run goes on;
 * fittings while their piece is open; seams
 * that no torch reaches once the runs stand together; the other butts on the bench, every other one so that neighbours
 * cool; at last what ties the runs to flanges and collectors, a flange inside before outside, hopping between ports.
 */
final readonly class WeldOrder
{
    /** What ties a run to a part, in the order it is done. */
    private const AT_PARTS = [
        JointType::VBandButt,
        JointType::FlangeSeal,
        JointType::FlangeFillet,
        JointType::SlipFillet,
        JointType::Saddle,
    ];

    private const OPEN = 'Before its piece is closed in.';

    private const PLATE = 'Once the tubes are whole: from its points inwards, with the small cup.';

    private const OUTLET = 'Bolted to a heat-sink plate, before any run goes on: it cannot be reached later, and it gets hottest.';

    private function __construct(private FitPlan $fit, private JointList $joints) {}

    /** @return list<Weld> */
    public static function of(FitPlan $fit, JointList $joints): array
    {
        $order = new self($fit, $joints);

        return [...$order->collectors(), ...$order->fittings(), ...$order->butts(), ...$order->atParts()];
    }

    /** @return list<Weld> the seams of collectors, then what is welded to their outlets */
    private function collectors(): array
    {
        $open = $seams = $outlets = [];
        foreach ($this->fit->collectors as $collector) {
            $whys = array_map(static fn (MergeSeam $seam): string => $seam->why, $collector->seams());
            foreach ($this->joints->ofRun($collector->build->letter) as $i => $joint) {
                if ($joint->type === JointType::DonutSeam) {
                    $open[] = new Weld($joint, Phase::Merge, self::OPEN);
                } elseif ($joint->type === JointType::MergeSeam) {
                    $seams[] = new Weld($joint, Phase::Merge, $whys[$i] ?? self::PLATE);
                } else {
                    $outlets[] = new Weld($joint, Phase::Outlet, self::OUTLET);
                }
            }
        }

        return [...$open, ...$seams, ...$outlets];
    }

    /** @return list<Weld> */
    private function fittings(): array
    {
        $welds = [];
        foreach ($this->fit->letters as $letter) {
            foreach ([JointType::DonutSeam, JointType::Bung] as $type) {
                foreach ($this->ofType($letter, $type) as $joint) {
                    $welds[] = new Weld($joint, Phase::Open, self::OPEN);
                }
            }
        }

        return $welds;
    }

    /** @return list<Weld> tight ones first */
    private function butts(): array
    {
        $beside = array_column(array_reverse($this->fit->tight), null, 'joint');
        $alone = $bench = [];
        foreach ($this->fit->letters as $letter) {
            $butts = array_values(array_filter(
                $this->joints->ofRun($letter),
                static fn (Joint $joint): bool => $joint->type->isButt(),
            ));
            foreach (self::everyOther($butts) as $joint) {
                if (isset($beside[$joint->id])) {
                    $alone[] = new Weld($joint, Phase::Alone, self::tight($beside[$joint->id]));
                } else {
                    $bench[] = new Weld($joint, Phase::Bench, count($butts) > 2
                        ? 'Every other joint, so that its neighbours can cool.'
                        : 'Welded on the bench, in reach all round.');
                }
            }
        }

        return [...$alone, ...$bench];
    }

    /** @return list<Weld> */
    private function atParts(): array
    {
        $welds = [];
        foreach (self::AT_PARTS as $type) {
            $joints = [];
            foreach ($this->fit->letters as $letter) {
                array_push($joints, ...$this->ofType($letter, $type));
            }
            foreach (self::hopping($joints) as $joint) {
                $welds[] = new Weld($joint, Phase::Together, self::why($type, count($this->fit->letters) > 1));
            }
        }

        return $welds;
    }

    private static function tight(TightSeam $seam): string
    {
        return "Before run $seam->other stands beside it: no torch gets there afterwards.";
    }

    private static function why(JointType $type, bool $isSet): string
    {
        return match ($type) {
            JointType::VBandButt => 'After the run has been proved on the vehicle; clamped to its mate so the ring stays round.',
            JointType::FlangeSeal => 'The inside seal comes before the outside: little heat, no colour through.'
                .($isSet ? ' From port to port like a bolt pattern, bolted to the fixture.' : ''),
            JointType::SlipFillet => 'Last of all: the collector ties the runs to one another.',
            JointType::Saddle => 'The branch is tacked into its own run first, its hole cut from it as fitted; the saddle is welded last.',
            default => 'Last: it ties the run to its length.',
        };
    }

    /** @return list<Joint> */
    private function ofType(string $letter, JointType $type): array
    {
        return array_values(
            array_filter($this->joints->ofRun($letter), static fn (Joint $joint): bool => $joint->type === $type),
        );
    }

    /**
     * @param  list<Joint>  $joints  along one run
     * @return list<Joint>
     */
    private static function everyOther(array $joints): array
    {
        $order = [];
        foreach ([0, 1] as $offset) {
            for ($i = $offset; $i < count($joints); $i += 2) {
                $order[] = $joints[$i];
            }
        }

        return $order;
    }

    /**
     * One side, then the other, as bolts of a flange are drawn up.
     *
     * @param  list<Joint>  $joints
     * @return list<Joint>
     */
    private static function hopping(array $joints): array
    {
        usort($joints, static fn (Joint $a, Joint $b): int => strnatcmp($a->id, $b->id));
        $half = intdiv(count($joints) + 1, 2);
        $order = [];
        for ($i = 0; $i < $half; $i++) {
            array_push($order, $joints[$i], ...array_slice($joints, $half + $i, $half + $i < count($joints) ? 1 : 0));
        }

        return $order;
    }
}
