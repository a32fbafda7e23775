<?php

declare(strict_types=1);

namespace App\Workshop;

use DateTimeImmutable;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Bench\LogEntry as CoreEntry;
use UpsweptBead\Core\Stage\Step\StepKind;

/** One row of the log as the database gives it, with the name of its maker. */
final readonly class LogRow
{
    /**
     * @param  array<string, float>  $readings  in base units
     * @param  list<int>  $points  of the step that were confirmed
     * @param  int  $tillHere  how many there are up to where a page ends; 0 where nobody asked
     */
    private function __construct(
        public int $position,
        public string $id,
        public string $step,
        public string $words,
        public EntryKind $kind,
        public array $readings,
        public string $note,
        public string $by,
        public DateTimeImmutable $at,
        public int $tillHere,
        public string $why,
        public array $points,
        public ?InspectedJoint $inspected,
        public string $subject,
        public int $revision,
    ) {}

    public static function of(object $row): self
    {
        /** @var object{position: int, id: string, step: string, step_kind: string, step_subject: string, step_round: int, kind: string, readings: string, note: string, by: string, made_at: string, why: string, points: string, inspected: ?string, revision: int, till_here?: int} $row */
        /** @var array<string, int|float> $readings */
        $readings = (array) json_decode($row->readings, true);
        /** @var list<int> $points */
        $points = (array) json_decode($row->points, true);

        return new self(
            $row->position,
            $row->id,
            $row->step,
            StepKind::from($row->step_kind)->words($row->step_subject, $row->step_round),
            EntryKind::from($row->kind),
            array_map(floatval(...), $readings),
            $row->note,
            $row->by,
            new DateTimeImmutable($row->made_at),
            $row->till_here ?? 0,
            $row->why,
            $points,
            $row->inspected === null ? null : InspectedJoint::read(Node::of(json_decode($row->inspected, true), new Faults)),
            $row->step_subject,
            $row->revision,
        );
    }

    public function entry(): CoreEntry
    {
        return new CoreEntry(
            $this->id, $this->step, $this->kind, $this->readings, $this->note, $this->by, $this->at, $this->why, $this->points, $this->inspected,
            subject: $this->subject, revision: $this->revision,
        );
    }

    /** @return array{id: string, step: string, words: string, kind: string, note: string, why: string, found: string, by: string, at: string, position: int} */
    public function line(): array
    {
        return [
            'id' => $this->id,
            'step' => $this->step,
            'words' => $this->words,
            'kind' => $this->kind->value,
            'note' => $this->note,
            'why' => $this->why,
            'found' => $this->inspected?->text() ?? '',
            'by' => $this->by,
            'at' => $this->at->format('c'),
            'position' => $this->position,
        ];
    }
}
