<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Fit\Twins;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Step\StepKind;

/** The tasks of putting the runs together: each tacked from its datum outwards and tried, then all tried together. */
final readonly class RunTasks
{
    private const RANK = 2.0;

    private const TOGETHER = 3.0;

    private const FULL = 5.0;

    private const REFIT = 7.0;

    /** @var list<string> as they go in */
    private array $letters;

    public function __construct(
        private Graph $graph,
        private JointList $joints,
        private GoingIn $goingIn,
        private Twins $twins,
    ) {
        $this->letters = $goingIn->letters;
    }

    public function add(): void
    {
        foreach ($this->letters as $i => $letter) {
            $this->run($letter, $i);
        }
        if (count($this->letters) > 1) {
            $this->together();
        }
        foreach ($this->letters as $i => $letter) {
            $this->fullTack($letter, $i);
        }
    }

    private function run(string $letter, int $number): void
    {
        $joints = $this->fitted($letter);
        $last = null;
        foreach ($joints as $i => $joint) {
            $how = $i === 0 && count($this->letters) > 1 ? $this->goingIn->how($letter) : '';
            $why = $how.$this->why($joint, $i, count($joints)).($i === 0 ? $this->twin($letter) : '');
            $task = self::fit($joint, $why, [self::RANK, $number, $i]);
            $this->graph->add($task);
            if ($joint->type === JointType::Slip) {
                $this->clamp($joint, [self::RANK, $number, $i - 0.5]);
            }
            if ($joint->type === JointType::Flare) {
                $this->flare($joint, $number, $i);
            }
            if ($last !== null) {
                $this->graph->before(
                    $last,
                    $task->id,
                    'Built outwards from the datum.',
                    'An error is only seen at the far end, when every piece is cut to its line.',
                );
            } else {
                foreach ($this->goingIn->waits($letter) as $before => [$reason, $otherwise]) {
                    $this->graph->before(StepKind::Trial->key($before), $task->id, $reason, $otherwise);
                }
            }
            $last = $task->id;
        }
        $this->graph->add(new Task(
            StepKind::Trial, $letter, Phase::Trial, $letter, null, '', '', "Trial fit run $letter",
            count($this->letters) > 1
                ? 'In its place, past the runs that are there already.'
                : 'On the vehicle, before anything is welded that could still be moved.',
            [self::RANK, $number, count($joints)],
        ));
        if ($last !== null) {
            $this->graph->before(
                $last,
                StepKind::Trial->key($letter),
                'Tacked from end to end, it can still be hinged open.',
                'It is tried without its end: what does not meet there shows only when it is welded.',
            );
        }
    }

    /** Alike pieces are cut from one setting; said where the second of two runs begins. */
    private function twin(string $letter): string
    {
        $twin = $this->twins->twinOf($letter);

        return match ($twin[1] ?? null) {
            null => '',
            true => " Run $letter is the mirror image of run $twin[0]: the same cuts, turned the other way; hold each piece against its twin before it is tacked.",
            false => " Run $letter is the same as run $twin[0]: the same cuts, and a piece of one does for the other.",
        };
    }

    /**
     * What holds a slip is loose until it is drawn up, and has to be on the tube first.
     *
     * @param  list<float>  $rank
     */
    private function clamp(Joint $joint, array $rank): void
    {
        $piece = $joint->between->name;
        $this->graph->add(new Task(
            StepKind::Put, $joint->id, Phase::Trial, $joint->run, $joint, '', '',
            "Put the clamp over $piece", 'Loose on the tube, its bolt where a spanner gets to it.', $rank,
        ));
        $this->graph->before(
            StepKind::Put->key($joint->id),
            StepKind::Tack->key($joint->id),
            "It goes over the open end of $piece.",
            'The joint is drawn apart again to get it on, or cut where its end is formed by then.',
        );
    }

    /** The loose flange of a flare goes on before the end is pressed; then it stays on. Common practice. */
    private function flare(Joint $joint, int $number, int $i): void
    {
        $isStart = $joint->seam->stationMm <= 0.0;
        $piece = ($isStart ? $joint->and : $joint->between)->name;
        $this->graph->add(new Task(
            StepKind::Put, $joint->id, Phase::Trial, $joint->run, $joint, '', '',
            "Put the loose flange over $piece", 'Its hollow side to the flare; it cannot go on afterwards.',
            [self::RANK, $number, $i - 0.6],
        ));
        $this->graph->add(new Task(
            StepKind::Form, $joint->id, Phase::Trial, $joint->run, $joint, '', '',
            "Press the flare of $piece",
            'With a ball a sixth larger than the tube in a press, square to the tube; then its lip is flattened.',
            [self::RANK, $number, $i - 0.5],
        ));
        $this->graph->before(
            StepKind::Put->key($joint->id),
            StepKind::Form->key($joint->id),
            'The flange goes over the plain end.',
            'It does not go over the flare: the end is cut off and flared again, or the tube is too short.',
        );
        $this->graph->before(
            StepKind::Form->key($joint->id),
            StepKind::Tack->key($joint->id),
            'The flare seats on its ball.',
            'Its length and its angle are only seen when it seats.',
        );
    }

    private function together(): void
    {
        $this->graph->add(new Task(
            StepKind::Trial, Task::ALL, Phase::Trial, Task::ALL, null, '', '',
            'Trial fit runs '.implode(', ', $this->letters).' together',
            'All of them prove themselves together before any is finished.',
            [self::TOGETHER],
        ));
        $this->graph->add(new Task(
            StepKind::Refit, Task::ALL, Phase::Together, Task::ALL, null, '', '',
            'Fit the runs together again',
            'Each was welded by itself, and moved in welding: all are checked against their marks and tacked to flange and collector.',
            [self::REFIT],
        ));
        foreach ($this->letters as $letter) {
            $this->graph->before(
                StepKind::Trial->key($letter),
                StepKind::Trial->key(Task::ALL),
                'All runs stand there.',
                'One that is missing is the one that cannot stand beside the others.',
            );
            $this->graph->before(
                StepKind::FullTack->key($letter),
                StepKind::Refit->key(Task::ALL),
                'Each run is tacked all round and welded by itself.',
                'Between the others no torch gets round its seams.',
            );
        }
    }

    private function fullTack(string $letter, int $number): void
    {
        $isSet = count($this->letters) > 1;
        $this->graph->add(new Task(
            StepKind::FullTack, $letter, Phase::Trial, $letter, null, '', '', "Tack run $letter all round",
            'Opposite pairs in turn, so that nothing is pulled; the last tacks on the side it should move towards.',
            [self::FULL, $number],
        ));
        $this->graph->before(
            $isSet ? StepKind::Trial->key(Task::ALL) : StepKind::Trial->key($letter),
            StepKind::FullTack->key($letter),
            $isSet ? 'All runs were tried together.' : 'It was tried where it goes.',
            $isSet
                ? 'A finished run is scrapped because it cannot stand beside another.'
                : 'What is tacked all round cannot be hinged open: it is cut apart again.',
        );
    }

    /** @return list<Joint> as they are fitted; a flange is fitted once, its outside fillet is a second pass */
    private function fitted(string $letter): array
    {
        $apart = [
            JointType::Bung, JointType::Tab, JointType::Crack, JointType::FlangeFillet, JointType::DonutSeam,
        ];

        return array_values(array_filter(
            $this->joints->ofRun($letter),
            static fn (Joint $joint): bool => ! in_array($joint->type, $apart, true),
        ));
    }

    /** @param  list<float>  $rank */
    private static function fit(Joint $joint, string $why, array $rank): Task
    {
        // A tube goes to its collector; everything else is brought to what stands there already.
        $goes = in_array($joint->type, [JointType::Slip, JointType::SlipFillet, JointType::InletButt], true);
        [$brings, $to] = $goes ? [$joint->between, $joint->and] : [$joint->and, $joint->between];

        return new Task(
            StepKind::Tack, $joint->id, Phase::Trial, $joint->run, $joint, $brings->name, $to->name,
            match ($joint->type) {
                JointType::Slip => 'Slide ',
                JointType::Flare => 'Seat ',
                default => 'Tack ',
            }."$brings->name to $to->name", $why, $rank,
        );
    }

    private function why(Joint $joint, int $i, int $count): string
    {
        return match (true) {
            $i === 0 && $joint->type === JointType::VBandButt => 'The datum: everything else is measured from it. '
                .'The piece stays able to turn in the ring until the far end agrees.',
            $joint->type === JointType::PieCut => 'Wedge by wedge, each turned half round from the way it lay in the stick; the angle is checked before the next goes on.',
            $joint->type === JointType::Saddle => 'Ground until it seats without a gap and marked on the fitted branch; only then is the hole cut. Root and edge of the hole are dressed while a hand still gets there.',
            $i === 0 => 'The datum: everything else is measured from it. Bevelled, faced and clean before it is fixed.',
            $joint->type === JointType::Slip => 'Slides in to its depth mark and turns to its line; it is not welded.',
            $joint->type === JointType::Flare => 'Its ball lets it turn and tip until the far end agrees; it is drawn up, not welded.',
            $joint->type === JointType::InletButt => 'The closing joint: the last piece was cut long and is trimmed to meet the inlet edge to edge, both bevelled alike.',
            $joint->type === JointType::SlipFillet => 'Slides in to its depth mark; tacked there, it holds the run and its part together.',
            $i === $count - 1 => 'The closing joint: the last piece was cut long and is trimmed to meet the part here.',
            default => 'Built outwards from the datum, so that every error shows before the next piece is cut to its line.',
        };
    }
}
