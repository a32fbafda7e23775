<?php

declare(strict_types=1);

namespace App\Models;

enum RevisionStatus: string
{
    case Draft = 'draft';
    case Released = 'released';
}
