<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Made\JointStanding;
use UpsweptBead\Core\Stage\Made\MadeWords;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Made\PieceStanding;

/** Writes what is made already and no longer fits. */
final readonly class MadeWriter
{
    /** @return array{pieces: list<array<string, mixed>>, joints: list<array<string, mixed>>} */
    public static function of(MadeWork $work, UnitSystem $units): array
    {
        $words = new MadeWords($units);

        return [
            'pieces' => array_map(static fn (PieceStanding $one): array => [
                'mark' => $one->mark,
                'run' => $one->made->piece->run,
                'revision' => $one->revision,
                'isLost' => $one->isLost,
                'lines' => $words->ofPiece($one),
            ], $work->pieces),
            'joints' => array_map(static fn (JointStanding $one): array => [
                'id' => $one->id,
                'run' => $one->run,
                'isWelded' => $one->isWelded,
                'lines' => $words->ofJoint($one),
            ], $work->joints),
        ];
    }
}
