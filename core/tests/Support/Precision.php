<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

/** How close numbers have to be unless a test says otherwise; lengths in mm. */
final class Precision
{
    public const RELATIVE = 1e-9;

    public const ABSOLUTE = 1e-9;

    /** For values that a table gives to three figures. */
    public const THREE_FIGURES = 5e-3;
}
