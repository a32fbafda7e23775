<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

/** What jobs on the rack are grouped by: what is next to be done with them. Kept and shown by its value. */
enum NextGroup: string
{
    case Survey = 'needs a survey';
    case Route = 'needs a route';
    case Problems = 'has problems';
    case Release = 'ready to release';
    case StockMissing = 'stock missing';
    case Prepare = 'to cut and prepare';
    case Tack = 'to tack';
    case TrialFit = 'needs a trial fit';
    case Weld = 'ready to weld';
    case Cool = 'waiting to cool';
    case Inspect = 'to inspect';
    case Done = 'done';
}
