<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\KeepOut;

/** What must not be touched, each with its own usual clearance (a shop rule). */
enum KeepOutKind: string
{
    case Block = 'block';
    case Frame = 'frame';
    case Steering = 'steering';
    case Boot = 'boot';
    case Starter = 'starter';
    case Line = 'line';
    case Plastic = 'plastic';
    case Tyre = 'tyre';
    case Ground = 'ground';
    case NutAndSocket = 'nut-socket';
    case PlugAndSocket = 'plug-socket';
    case OilDrain = 'oil-drain';
    case Collector = 'collector';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Block => 'Block or head',
            self::Frame => 'Frame',
            self::Steering => 'Steering shaft or joint',
            self::Boot => 'Boot or rubber',
            self::Starter => 'Starter',
            self::Line => 'Line or wiring',
            self::Plastic => 'Plastic or paint',
            self::Tyre => 'Tyre, with its lock and travel',
            self::Ground => 'Ground',
            self::NutAndSocket => 'Nut with its socket',
            self::PlugAndSocket => 'Plug with its socket',
            self::OilDrain => 'Oil drain',
            self::Collector => 'Collector body',
            self::Other => 'Something else',
        };
    }

    /** The shop rule that gives its clearance. */
    public function rule(): string
    {
        return match ($this) {
            self::Block => 'clear.block',
            self::Frame => 'clear.frame',
            self::Steering => 'clear.steering',
            self::Boot => 'clear.boot',
            self::Starter => 'clear.starter',
            self::Line, self::OilDrain => 'clear.line',
            self::Plastic => 'clear.plastic',
            self::Tyre => 'clear.tyre',
            self::Ground => 'clear.ground',
            self::NutAndSocket => 'clear.tool',
            self::PlugAndSocket => 'clear.plug',
            self::Collector, self::Other => 'clear.other',
        };
    }

    /** Tubes begin in the block and end in the collector: so much of each is not tested against it. */
    public function isExemptAtPort(): bool
    {
        return $this === self::Block;
    }

    /** Room for a tool is needed once the tubes are in; nothing stands there while they go in. */
    public function isToolRoom(): bool
    {
        return $this === self::NutAndSocket || $this === self::PlugAndSocket;
    }

    public function isExemptAtInlet(): bool
    {
        return $this === self::Collector;
    }
}
