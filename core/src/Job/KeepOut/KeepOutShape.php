<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\KeepOut;

enum KeepOutShape: string
{
    /** Everything behind a plane. */
    case HalfSpace = 'half-space';
    case Box = 'box';
    /** A round bar with flat ends. */
    case Cylinder = 'cylinder';
    /** A round bar with round ends. */
    case Capsule = 'capsule';
    /** A scanned or drawn surface, kept apart from the job and named in it. */
    case Mesh = 'mesh';

    public function isBar(): bool
    {
        return $this === self::Cylinder || $this === self::Capsule;
    }
}
