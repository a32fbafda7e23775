<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Template;

/** What a line of a wrap template is for. */
enum Layer: string
{
    /** The line to cut along. */
    case Cut = 'cut';

    /** Upright, where psi is 0. */
    case Index = 'index';

    /** Level, all the way round: stations are measured from it. */
    case Datum = 'datum';

    /** 100 mm long, to see whether it was printed at its own size. */
    case Proof = 'proof';

    /** Ticks and arrows. */
    case Marks = 'marks';

    /** Its colour on paper, such as #0b3d91; each is used for nothing else. */
    public function colour(): string
    {
        return match ($this) {
            self::Cut => '#0b3d91',
            self::Index => '#a33b00',
            self::Datum => '#00695c',
            self::Proof => '#5b2c83',
            self::Marks => '#555555',
        };
    }
}
