<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Job\Collector\SeamKind;
use UpsweptBead\Core\Stage\Cut\ButtKind;

/** What kind of joint it is; each has its own amperage rule and its own way of being purged. */
enum JointType: string
{
    case Butt = 'butt';
    case VBandButt = 'v-band-butt';
    case FlangeSeal = 'flange-seal';
    case FlangeFillet = 'flange-fillet';
    case InletButt = 'inlet-butt';
    case SlipFillet = 'slip-fillet';
    case Slip = 'slip';
    case Flare = 'flare';
    case Bung = 'bung';
    case PieCut = 'pie-cut';
    case MergeSeam = 'merge-seam';
    case Saddle = 'saddle';
    case DonutSeam = 'donut-seam';
    case Tab = 'tab';
    case Crack = 'crack';

    public function label(): string
    {
        return match ($this) {
            self::Butt => 'Butt',
            self::VBandButt => 'V-band butt',
            self::FlangeSeal => 'Flange, inside seal pass',
            self::FlangeFillet => 'Flange, outside fillet',
            self::InletButt => 'Butt at the collector',
            self::SlipFillet => 'Slip fillet',
            self::Slip => 'Slip joint, not welded',
            self::Flare => 'Ball flare, not welded',
            self::Bung => 'Bung fillet',
            self::PieCut => 'Pie-cut butt',
            self::MergeSeam => 'Merge seam',
            self::Saddle => 'Saddle',
            self::DonutSeam => 'Seam of a donut, inside',
            self::Tab => 'Tab fillet',
            self::Crack => 'Crack, ground out',
        };
    }

    /** Of which kind it is to a written procedure. */
    public function seamKind(): SeamKind
    {
        return match ($this) {
            self::Butt, self::PieCut, self::VBandButt, self::InletButt, self::Crack => SeamKind::Butts,
            self::FlangeSeal, self::DonutSeam => SeamKind::Seals,
            self::MergeSeam, self::Saddle => SeamKind::Merges,
            default => SeamKind::Fillets,
        };
    }

    public function isFillet(): bool
    {
        return in_array($this, [self::FlangeSeal, self::FlangeFillet, self::SlipFillet, self::Bung], true);
    }

    /** A slip slides together and a flare is drawn together; everything else is a seam. */
    public function isWelded(): bool
    {
        return $this !== self::Slip && $this !== self::Flare;
    }

    /** A fused seam inside needs no wire. */
    public function isAutogenous(): bool
    {
        return $this === self::FlangeSeal || $this === self::DonutSeam;
    }

    /**
     * Whether its root lies in a bore that has to be filled with argon; the donut's is welded in the open bore itself.
     */
    public function isPurged(): bool
    {
        return $this !== self::DonutSeam;
    }

    /**
     * Whether argon gets out by it until it is welded: a fitting's hole is drilled only then, a tab has none, and what
     * ends a run lies in its dam.
     */
    public function isTaped(): bool
    {
        return in_array($this, [
            self::Butt, self::PieCut, self::InletButt, self::MergeSeam, self::SlipFillet, self::Saddle,
        ], true);
    }

    /**
     * Whether its own gap is taped, and peeled where the torch goes; what is filleted on, or sealed inside already, has
     * none.
     */
    public function isPeeled(): bool
    {
        return $this->isTaped() || $this === self::VBandButt || $this === self::Crack;
    }

    /** Whether it lies on the side of a tube: a bung, a tab, a crack. */
    public function isOnSide(): bool
    {
        return in_array($this, [self::Bung, self::Tab, self::Crack], true);
    }

    /** Whether it joins two pieces of a run end to end. */
    public function isButt(): bool
    {
        return $this === self::Butt || $this === self::PieCut;
    }

    /** Whether two tubes meet edge to edge, at a collector too: with a gap to be filled and walls to be lined up. */
    public function isEdgeToEdge(): bool
    {
        return $this->isButt() || $this === self::InletButt;
    }

    /** By which rule it pulls its two sides together; fillets and seams along a tube hardly do. */
    public function buttKind(): ?ButtKind
    {
        return match ($this) {
            self::Butt, self::InletButt => ButtKind::Tubes,
            self::VBandButt => ButtKind::Ring,
            self::PieCut => ButtKind::Wedges,
            default => null,
        };
    }

    /** Whether its seam goes once round a tube, so that it has a dial; others have two ends. */
    public function isRound(): bool
    {
        return ! in_array($this, [self::MergeSeam, self::DonutSeam, self::Crack], true);
    }

    /** Whether it joins a run to a part that stays: a flange, a ring, a collector. */
    public function isAtPart(): bool
    {
        return ! $this->isOnSide()
            && ! in_array($this, [self::Butt, self::PieCut, self::MergeSeam, self::DonutSeam], true);
    }
}
