<?php

declare(strict_types=1);

namespace App\Models;

/** What a person may do: owners and fabricators plan and release, helpers log at the bench, viewers look. */
enum Role: string
{
    case Owner = 'owner';
    case Fabricator = 'fabricator';
    case Helper = 'helper';
    case Viewer = 'viewer';

    public function plans(): bool
    {
        return $this === self::Owner || $this === self::Fabricator;
    }

    public function owns(): bool
    {
        return $this === self::Owner;
    }

    public function logs(): bool
    {
        return $this !== self::Viewer;
    }
}
