<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

/** Kinds of seam that a written procedure is for. */
enum SeamKind: string
{
    case All = 'all';
    case Butts = 'butts';
    case Fillets = 'fillets';
    case Seals = 'seals';
    case Merges = 'merges';
}
