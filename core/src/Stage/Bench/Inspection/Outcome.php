<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench\Inspection;

/** What is done about a joint that was looked at, from nothing to all of it once more. */
enum Outcome: string
{
    case Accept = 'accept';
    case Dress = 'dress';
    case Add = 'add';
    case Redo = 'redo';

    public function label(): string
    {
        return match ($this) {
            self::Accept => 'Accept',
            self::Dress => 'Dress it',
            self::Add => 'Add a pass',
            self::Redo => 'Cut out, redo',
        };
    }

    /** In a record, of what was found. */
    public function said(): string
    {
        return match ($this) {
            self::Accept => 'accepted',
            self::Dress => 'to be dressed',
            self::Add => 'a pass to be added',
            self::Redo => 'to be cut out and done again',
        };
    }

    public function isLessThan(self $other): bool
    {
        return $this->place() < $other->place();
    }

    public static function most(self ...$some): self
    {
        $most = self::Accept;
        foreach ($some as $one) {
            $most = $most->isLessThan($one) ? $one : $most;
        }

        return $most;
    }

    private function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
