<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

/** What kind of seam a joint is; each has its own amperage rule and its own way of being purged. */
enum JointType: string
{
    case Butt = 'butt';
    case VBandButt = 'v-band-butt';
    case FlangeSeal = 'flange-seal';
    case FlangeFillet = 'flange-fillet';
    case Bung = 'bung';

    public function label(): string
    {
        return match ($this) {
            self::Butt => 'Butt',
            self::VBandButt => 'V-band butt',
            self::FlangeSeal => 'Flange, inside seal pass',
            self::FlangeFillet => 'Flange, outside fillet',
            self::Bung => 'Bung fillet',
        };
    }

    public function isFillet(): bool
    {
        return in_array($this, [self::FlangeSeal, self::FlangeFillet, self::Bung], true);
    }

    /** A fused seam inside needs no wire. */
    public function isAutogenous(): bool
    {
        return $this === self::FlangeSeal;
    }
}
