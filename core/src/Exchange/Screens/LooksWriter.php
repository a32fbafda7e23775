<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Stage\Bench\Inspection\Cause;
use UpsweptBead\Core\Stage\Bench\Inspection\Flaw;
use UpsweptBead\Core\Stage\Bench\Inspection\Inspection;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Bench\Inspection\Oxide;

/** What may be found at a joint, and what follows from it, for the screens. */
final readonly class LooksWriter
{
    /** @return array<string, list<array<string, string>>> */
    public static function all(): array
    {
        return [
            'oxides' => array_map(static fn (Oxide $one): array => [
                'key' => $one->value, 'label' => $one->label(), 'least' => $one->outside()->value,
            ], Oxide::cases()),
            'flaws' => array_map(static fn (Flaw $one): array => [
                'key' => $one->value, 'label' => $one->label(), 'least' => $one->least()->value,
            ], Flaw::cases()),
            'causes' => array_map(static fn (Cause $one): array => [
                'key' => $one->value, 'label' => $one->label(),
            ], Cause::cases()),
            'outcomes' => array_map(static fn (Outcome $one): array => [
                'key' => $one->value, 'label' => $one->label(),
            ], Outcome::cases()),
        ];
    }

    /** @return list<string> what follows at least from each colour inside, from bright to burnt */
    public static function limits(Inspection $inspection): array
    {
        return array_map(
            static fn (Oxide $one): string => $one->inside($inspection->targetPpm, $inspection->stopPpm)->value,
            Oxide::cases(),
        );
    }
}
