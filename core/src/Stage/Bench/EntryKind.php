<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

/** What an entry in the log says. Nothing is ever edited: a correction is a new entry. */
enum EntryKind: string
{
    case Done = 'done';
    case Correct = 'correct';
    case Reopen = 'reopen';
    case Note = 'note';

    public function label(): string
    {
        return match ($this) {
            self::Done => 'done',
            self::Correct => 'corrected',
            self::Reopen => 'opened again',
            self::Note => 'noted',
        };
    }
}
