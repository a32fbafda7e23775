<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * A flange with stubs is made first, by itself: all stubs tacked, the inside of each sealed while it is open, then the
 * outsides, hopping from port to port. Common practice.
 */
final readonly class StubTasks
{
    private const TACKED = 1.5;

    private const SEALED = 1.6;

    private const FILLED = 1.7;

    public function __construct(private Graph $graph, private JointList $joints) {}

    /**
     * Whether a joint ties a stub to its flange.
     *
     * @param  list<string>  $stubs  letters of the runs that begin with one
     */
    public static function isOfStub(Joint $joint, array $stubs): bool
    {
        return in_array($joint->run, $stubs, true)
            && in_array($joint->type, [JointType::FlangeSeal, JointType::FlangeFillet], true)
            && $joint->seam->stationMm <= 0.0;
    }

    /**
     * @param  list<string>  $letters  as the runs go in
     * @param  list<string>  $stubs
     */
    public function add(array $letters, array $stubs): void
    {
        $seals = $fillets = $tacked = [];
        foreach (array_values(array_intersect($letters, $stubs)) as $number => $letter) {
            foreach ($this->joints->ofRun($letter) as $joint) {
                if (! self::isOfStub($joint, $stubs)) {
                    continue;
                }
                if ($joint->type === JointType::FlangeSeal) {
                    $seals[] = $joint;
                    $tacked[] = StepKind::Tack->key($joint->id);
                    $this->tackedFirst(StepKind::Tack->key($joint->id), $number);
                } else {
                    $fillets[] = $joint;
                }
            }
        }
        $this->weld($seals, self::SEALED, 'The inside while it is open to hand and eye: little heat, no colour through. From port to port like a bolt pattern, bolted to the fixture.');
        $this->weld($fillets, self::FILLED, 'The outside, hopping between ports; it cools bolted down, and is faced before a run stands on it.');
        foreach ($fillets as $i => $fillet) {
            foreach ($tacked as $first) {
                $this->graph->before($first, StepKind::Weld->key($seals[$i]->id), 'All stubs are tacked, so that the flange is held.', 'The first beads bow it, and the other stubs do not stand square any more.');
            }
            $this->graph->before(StepKind::Weld->key($seals[$i]->id), StepKind::Weld->key($fillet->id), 'The inside seal comes before the outside: little heat, no colour through.', 'The fillet’s heat burns the bare inside, and the seal is welded over scale.');
            $this->onTop($fillet);
        }
    }

    /** What is tacked to a stub waits for its flange to be whole. */
    private function onTop(Joint $fillet): void
    {
        foreach ($this->joints->ofRun($fillet->run) as $joint) {
            if ($joint->type->isButt()) {
                $this->graph->before(
                    StepKind::Weld->key($fillet->id),
                    StepKind::Tack->key($joint->id),
                    'The flange is whole and faced with nothing standing on it.',
                    'It is welded overhead between the runs, and bows with all of them on it.',
                );

                return;
            }
        }
    }

    private function tackedFirst(string $id, int $number): void
    {
        $task = $this->graph->tasks()[$id] ?? null;
        if ($task !== null) {
            $this->graph->add($task->ranked([self::TACKED, $number], Phase::Stub));
        }
    }

    /** @param  list<Joint>  $joints */
    private function weld(array $joints, float $rank, string $why): void
    {
        foreach (Hopping::over($joints) as $i => $joint) {
            $this->graph->add(new Task(
                StepKind::Weld, $joint->id, Phase::Stub, $joint->run, $joint, '', '', "Weld $joint->id", $why,
                [$rank, $i],
            ));
        }
    }
}
