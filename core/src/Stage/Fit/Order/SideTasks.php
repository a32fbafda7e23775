<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Solve\Reach\Arcs;
use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * Where tubes stand close at a part, a torch gets to the side of a seam only before the next run stands there. Then the
 * runs go back one by one, and that side is welded before the next goes in.
 */
final readonly class SideTasks
{
    private const RANK = 7.0;

    /** Behind a run that goes back, before the next. */
    private const BETWEEN = 0.5;

    /** @param  list<string>  $letters  as they go in */
    public function __construct(
        private Graph $graph,
        private JointList $joints,
        private array $letters,
        private Access $access,
    ) {}

    public function add(): void
    {
        $sides = array_map($this->sides(...), $this->letters);
        if (array_filter($sides) === []) {
            return;
        }
        $this->graph->add(new Task(
            StepKind::Refit, Task::ALL, Phase::Together, Task::ALL, null, '', '', 'Check the runs together',
            'All of them stand there again: against their marks, tacked to flange and collector, before more is tied.',
            [self::RANK, count($this->letters)],
        ));
        foreach ($this->letters as $number => $letter) {
            $this->goesBack($letter, $number);
            foreach ($sides[$number] as $i => $joint) {
                $this->side($joint, $number, $i);
            }
        }
    }

    private function goesBack(string $letter, int $number): void
    {
        $before = $this->letters[$number - 1] ?? null;
        $this->graph->add(new Task(
            StepKind::Refit, $letter, Phase::Together, $letter, null, '', '',
            "Put run $letter back in its place",
            $before === null
                ? 'The flange is bolted down. Against its marks, and tacked to flange and collector.'
                : 'Past the runs that are there already, against its marks, and tacked to flange and collector.',
            [self::RANK, $number],
        ));
        $this->graph->before(
            StepKind::FullTack->key($letter),
            StepKind::Refit->key($letter),
            'It is tacked all round and welded by itself.',
            'Between the others no torch gets round its seams.',
        );
        foreach ($this->joints->ofRun($letter) as $joint) {
            if ($joint->type->isButt()) {
                $this->graph->before(
                    StepKind::Weld->key($joint->id),
                    StepKind::Refit->key($letter),
                    'What shortens in welding has done so.',
                    'It pulls the run off its marks afterwards.',
                );
            }
        }
        if ($before !== null) {
            $this->graph->before(
                StepKind::Refit->key($before),
                StepKind::Refit->key($letter),
                'The sides that are welded on the way are those of this order.',
                'A side that was to be welded first is closed in.',
            );
        }
        $this->graph->before(
            StepKind::Refit->key($letter),
            StepKind::Refit->key(Task::ALL),
            'All runs stand there.',
            'What is tied without the others may not stand beside them.',
        );
    }

    private function side(Joint $joint, int $number, int $i): void
    {
        $one = $this->access->joints[$joint->id];
        $later = array_values(array_intersect($one->by, $one->later));
        $towards = implode(', ', $later === [] ? $one->later : $later);
        $deg = Arcs::sum($one->sideFirst());
        $why = sprintf(
            'With the other runs in place a torch gets round %.0f %% of it; %.0f° more are open now.',
            100 * $one->together->share,
            $deg,
        );
        $this->graph->add(new Task(
            StepKind::Side, $joint->id, Phase::Together, $joint->run, $joint, '', '',
            "Weld $joint->id on the side towards $towards", $why, [self::RANK, $number, self::BETWEEN + $i / 100],
        ));
        $this->graph->before(
            StepKind::Refit->key($joint->run),
            StepKind::Side->key($joint->id),
            'The run stands where it belongs.',
            'It is tied before it is where it belongs, and cannot be moved.',
        );
        $this->graph->before(
            StepKind::Side->key($joint->id),
            StepKind::Refit->key($this->letters[$number + 1] ?? Task::ALL),
            $why,
            sprintf('That side is closed in unwelded: with all in place a torch gets round %.0f %%.', 100 * $one->together->share),
        );
        $this->graph->before(
            StepKind::Side->key($joint->id),
            StepKind::Weld->key($joint->id),
            'The rest of the seam follows when all runs stand there.',
            'The side that is closed in later stays unwelded.',
        );
    }

    /** @return list<Joint> of a run that are welded on one side first; none if its turn is not the one that was looked at */
    private function sides(string $letter): array
    {
        $place = array_search($letter, $this->letters, true);
        $later = is_int($place) ? array_slice($this->letters, $place + 1) : [];

        return array_values(array_filter($this->joints->ofRun($letter), function (Joint $joint) use ($later): bool {
            $one = $this->access->joints[$joint->id] ?? null;

            return $one !== null && $joint->type->isAtPart() && $later !== [] && $one->later === $later
                && $one->sideFirst() !== [];
        }));
    }
}
