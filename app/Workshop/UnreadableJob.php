<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/**
 * A stored document that today's reader does not understand: a fault of ours, which must not take anything else down.
 */
final class UnreadableJob extends ConflictHttpException
{
    public static function at(Revision $revision): self
    {
        return new self("What is stored of this job cannot be read (revision $revision->number); nothing of it was changed.");
    }
}
