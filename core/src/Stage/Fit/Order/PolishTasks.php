<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Gap;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * When a run is polished: before the runs stand together where a wheel does not get between them afterwards, else when
 * all is welded, so that no heat is left on it. Common practice.
 */
final readonly class PolishTasks
{
    private const BENCH = 6.8;

    private const LAST = 9.0;

    /**
     * @param  list<string>  $letters  as they go in
     * @param  list<Gap>  $gaps  of all runs
     * @param  float  $wheelMm  room that a wheel takes
     */
    public function __construct(
        private Graph $graph,
        private JointList $joints,
        private array $letters,
        private array $gaps,
        private float $wheelMm,
    ) {}

    /** @param  list<string>  $polished  letters */
    public function add(array $polished): void
    {
        foreach (array_values(array_intersect($this->letters, $polished)) as $number => $letter) {
            $closest = $this->closest($letter);
            $isEarly = $closest !== null && count($this->letters) > 1;
            $id = StepKind::Polish->key($letter);
            $this->graph->add(new Task(
                StepKind::Polish,
                $letter,
                $isEarly ? Phase::Bench : Phase::Together,
                $letter,
                null,
                '',
                '',
                "Polish run $letter",
                $isEarly
                    ? $this->early($letter, $closest)
                    : 'When all of it is welded: a wheel gets all round it where it stands, and takes the colour off as well.',
                [$isEarly ? self::BENCH : self::LAST, $number],
            ));
            foreach ($this->joints->ofRun($letter) as $joint) {
                if ($joint->type->isWelded() && (! $isEarly || ! $joint->type->isAtPart())) {
                    $this->graph->before(
                        StepKind::Weld->key($joint->id),
                        $id,
                        'Its bead is dressed and polished with the tube.',
                        'The heat colours what is polished already.',
                    );
                }
            }
            if ($isEarly) {
                $this->beforeClosing($id, $letter);
            }
        }
    }

    private function early(string $letter, Gap $closest): string
    {
        return sprintf(
            'Beside %s %.0f mm are left, and a wheel takes %.0f: now, while it lies alone on the bench.',
            $closest->other === $letter ? $closest->run : $closest->other,
            max(0.0, $closest->gapMm),
            $this->wheelMm,
        );
    }

    private function beforeClosing(string $id, string $letter): void
    {
        foreach ([StepKind::Refit->key($letter), StepKind::Refit->key(Task::ALL)] as $back) {
            if ($this->graph->has($back)) {
                $this->graph->before(
                    $id,
                    $back,
                    'No wheel gets between the runs afterwards.',
                    'It stays as it is where the others stand beside it.',
                );
            }
        }
    }

    /** What stands nearest to a run, nearer than a wheel gets past; null where nothing does. */
    private function closest(string $letter): ?Gap
    {
        $near = array_filter($this->gaps, fn (Gap $one): bool => $one->isRun && $one->gapMm < $this->wheelMm
            && ($one->run === $letter || $one->other === $letter));
        usort($near, static fn (Gap $a, Gap $b): int => $a->gapMm <=> $b->gapMm);

        return $near[0] ?? null;
    }
}
