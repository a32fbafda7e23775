<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

/** What somebody wants of the joints at one piece. */
enum JointWish: string
{
    case WithoutBefore = 'without-before';
    case WithoutAfter = 'without-after';
    case Split = 'split';
    /** Its bend by itself, out of a donut, with joints at both tangents. */
    case FromDonut = 'from-donut';
}
