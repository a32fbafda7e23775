<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;
use UpsweptBead\Core\Exchange\Screens\CuttingWriter;
use UpsweptBead\Core\Stage\Bench\Gate;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Cut\WrongLength;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Pieces that were measured to be another length than planned: what that does to the far end, and how to go on. */
final readonly class WrongCuts
{
    public function __construct(private KnownPlans $plans, private Workshop $workshop) {}

    /** @return list<array{mark: string, off: string, farEnd: string, rescues: list<string>}> */
    public function of(Revision $revision, Progress $progress): array
    {
        $wrong = [];
        foreach ($progress->steps as $step) {
            $read = $progress->readings[$step->id] ?? [];
            $isCut = $step->kind === StepKind::Prepare && $progress->isDone($step->id);
            if ($isCut && isset($read['length']) && Gate::isOff($step, $read)) {
                $wrong[] = $this->would($revision, $progress, $step->subject, $read['length']);
            }
        }

        return array_values(array_filter($wrong));
    }

    /**
     * What a piece of such a length would do.
     *
     * @return array{mark: string, off: string, farEnd: string, rescues: list<string>}|null null where it is as planned
     */
    public function would(Revision $revision, Progress $progress, string $mark, float $mm): ?array
    {
        $cut = $this->plans->cut($revision);
        $piece = $cut->piece($mark);
        $isDone = static fn (string $one): bool => $progress->isDone(StepKind::Prepare->key($one));
        $done = array_values(array_filter($cut->marks(), $isDone));
        $found = $piece === null ? null : WrongLength::of($piece, $cut->runs[$piece->run] ?? null, $mm, $cut->opened, $done);

        return $found === null ? null : (new CuttingWriter($cut->units, $this->workshop->shop()))->wrong($found);
    }
}
