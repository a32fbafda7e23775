<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;

/** A change made on a version that is no longer the latest. */
final class StaleDraft extends \RuntimeException
{
    public function __construct(public readonly int $madeOn, public readonly Revision $current)
    {
        parent::__construct($current->isDraft()
            ? sprintf('This was changed elsewhere: you had version %d, the latest is %d.', $madeOn, $current->version)
            : sprintf('Revision %d has been released and is frozen.', $current->number));
    }
}
