<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

/** Who decides which tube enters a collector where. */
enum AssignmentMode: string
{
    case Fixed = 'fixed';
    case Any = 'any';
    /** In firing order round the collector, in either sense and from any inlet on. */
    case Cyclic = 'cyclic';
}
