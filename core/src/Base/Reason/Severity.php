<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/** How much a notice weighs: a problem stops a release, a caution does not. */
enum Severity: string
{
    case Problem = 'problem';
    case Caution = 'caution';
}
