<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/** Where the end of a piece lies on its stock. */
enum MarkKind: string
{
    /** The end the stock came with. */
    case OwnEnd = 'own-end';
    /** The cut that opens a donut: where on it that lies is free. */
    case Opening = 'opening';
    /** On a straight: the same on every line of the tube. */
    case Straight = 'straight';
    /** In the bend: another length on its outside than on its inside. */
    case Bend = 'bend';
}
