<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Step\StepKind;

/** The tasks of a collector: its tubes tacked and welded to one another, then its outlet; all before a run goes on. */
final readonly class CollectorTasks
{
    /** Collectors come before everything else. */
    private const RANK = 0.0;

    private const PLATE = 'Once the tubes are whole: from its points inwards, with the small cup.';

    private const OUTLET = 'Bolted to a heat-sink plate, before any run goes on: it cannot be reached later, and it gets hottest.';

    public function __construct(private Graph $graph, private JointList $joints) {}

    public function add(BuiltCollector $collector, int $number): void
    {
        $letter = $collector->build->letter;
        $seams = $collector->seams();
        $last = null;
        foreach ($this->joints->ofRun($letter) as $i => $joint) {
            if ($joint->type === JointType::DonutSeam) {
                $why = 'Before its piece is closed in.';
                $this->graph->add(self::weld($joint, $why, Phase::Merge, [self::RANK, $number, -1.0, $i]));

                continue;
            }
            $isSeam = $joint->type === JointType::MergeSeam;
            $why = $isSeam ? $seams[$i]->why ?? self::PLATE : self::OUTLET;
            if ($joint->type !== JointType::FlangeFillet) {
                $fitWhy = $isSeam && isset($seams[$i]) ? $why : self::fitWhy($isSeam);
                $this->graph->add(self::fit($joint, $fitWhy, [self::RANK, $number, $isSeam ? 0.0 : 1.5, $i]));
            }
            [$phase, $turn] = $isSeam ? [Phase::Merge, 1.0] : [Phase::Outlet, 2.0];
            $this->graph->add(self::weld($joint, $why, $phase, [self::RANK, $number, $turn, $i]));
            $this->graph->before(
                StepKind::Tack->key($joint->id),
                StepKind::Weld->key($joint->id),
                'Tacked and looked at before it is welded.',
                'What is welded askew cannot be turned any more.',
            );
            if ($last !== null) {
                $isWeld = $isSeam || $joint->type === JointType::FlangeFillet;
                $then = ($isWeld ? StepKind::Weld : StepKind::Tack)->key($joint->id);
                $this->graph->before($last, $then, $why, $isSeam
                    ? 'The centre is closed in before its ends are, and no cup gets there.'
                    : 'The outlet is pressed and trued with its tubes whole; a ring on it before holds them askew.');
            }
            $last = StepKind::Weld->key($joint->id);
        }
    }

    private static function fitWhy(bool $isSeam): string
    {
        return $isSeam
            ? 'The middle is open at so wide an outlet: cut from the tube’s own wall, let in flush, once the tubes are whole.'
            : 'Once its outlet is pressed round, and before any run goes on: it cannot be reached later.';
    }

    /** @param  list<float>  $rank */
    private static function fit(Joint $joint, string $why, array $rank): Task
    {
        $title = "Tack {$joint->and->name} to {$joint->between->name}";

        return new Task(
            StepKind::Tack, $joint->id, Phase::Merge, $joint->run, $joint, $joint->and->name,
            $joint->between->name, $title, $why, $rank,
        );
    }

    /** @param  list<float>  $rank */
    private static function weld(Joint $joint, string $why, Phase $phase, array $rank): Task
    {
        return new Task(
            StepKind::Weld, $joint->id, $phase, $joint->run, $joint, '', '', "Weld $joint->id", $why, $rank,
        );
    }
}
