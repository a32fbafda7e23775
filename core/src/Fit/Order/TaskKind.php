<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Order;

/** What a task of the build is. */
enum TaskKind: string
{
    /** Two parts are brought together and tacked. */
    case Fit = 'fit';
    /** A loose ring or clamp is put over an end before that is closed. */
    case Put = 'put';
    /** An end is pressed, swaged or expanded. */
    case Form = 'form';
    case Trial = 'trial';
    /** The joints of a run are tacked all round. */
    case FullTack = 'full-tack';
    case Weld = 'weld';
    /** A seam is welded on the side that is closed in by what goes in next. */
    case Side = 'side';
    /** Tube and beads are polished. */
    case Polish = 'polish';
    /** What was welded by itself is fitted together again. */
    case Refit = 'refit';
}
