<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Step;

/** The kinds of work that steps belong to: what the rack groups by, and what has a caution of its own. */
enum Work: string
{
    case Prepare = 'prepare';
    case Tack = 'tack';
    case TrialFit = 'trial-fit';
    case Purge = 'purge';
    case Weld = 'weld';
    case Cool = 'cool';
    case Inspect = 'inspect';

    /** The usual caution at this work; local codes and licensed practice come first. */
    public function caution(): string
    {
        return match ($this) {
            self::Prepare => 'Rotating saw and disc: eyes and ears covered, no loose gloves at the blade. Grinding dust holds chromium. Acetone dry before any arc; never chlorinated cleaner. Oily or fuel-wet parts are cleaned out first.',
            self::Tack => 'Arc: eyes and skin covered, fume drawn off at the arc. Plated bolts and clamps give off poison when they are heated: take them off. Welding on a vehicle: battery off, electronics earthed away from the weld, fire watch and extinguisher at hand.',
            self::TrialFit => 'Tacks are not a support: strap the piece, and never be under it. Vehicle on stands or a locked lift, not on a jack.',
            self::Purge => 'Argon suffocates without warning and pools low: air the room, and never lean into a purged vessel or a pit.',
            self::Weld => 'Arc and hot metal. Chromium(VI) and nickel in the fume: draw it off at the arc. Nothing plated, and nothing wet with solvent, in the heat.',
            self::Cool => 'Hot metal looks like cold metal. Do not quench. Purge stays on until the root is cool.',
            self::Inspect => 'Leak test with low-pressure air only. Local codes, emissions and noise law, and licensed practice come first.',
        };
    }
}
