<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

/** What is to be done with a joint as it was measured, from best to worst. */
enum FitVerdict: string
{
    case Weld = 'weld';
    /** With wire at least as thick as the gap. */
    case WithWire = 'with-wire';
    /** Only with larger wire, and noted. */
    case WithNote = 'with-note';
    case Refit = 'refit';

    public function label(): string
    {
        return match ($this) {
            self::Weld => 'Fits: weld it',
            self::WithWire => 'Weld it with wire in the puddle',
            self::WithNote => 'Only with larger wire, and a note',
            self::Refit => 'Take it apart and fit it again',
        };
    }
}
