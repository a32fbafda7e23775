<?php

declare(strict_types=1);

namespace App\Models;

enum SearchState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Stopped = 'stopped';
    case Failed = 'failed';

    public function isOpen(): bool
    {
        return $this === self::Queued || $this === self::Running;
    }
}
