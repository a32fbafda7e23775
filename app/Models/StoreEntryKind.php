<?php

declare(strict_types=1);

namespace App\Models;

/** What changed the quantity of an item. */
enum StoreEntryKind: string
{
    case Received = 'received';
    case Counted = 'counted';
    case Issued = 'issued';
    case PutBack = 'put back';
    case Returned = 'returned';
    /** Taken for a job, and scrap by now; the quantity does not change. */
    case WrittenOff = 'written off';
}
