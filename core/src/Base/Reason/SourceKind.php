<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/** How far a value can be trusted, shown beside it. */
enum SourceKind: string
{
    case Published = 'published';
    case Trade = 'trade';
    case Memory = 'memory';
    case Geometry = 'geometry';
    case Shop = 'shop';

    public function label(): string
    {
        return match ($this) {
            self::Published => 'published',
            self::Trade => 'common practice',
            self::Memory => 'published, from memory',
            self::Geometry => 'worked out from the job',
            self::Shop => 'this shop’s own rule',
        };
    }
}
