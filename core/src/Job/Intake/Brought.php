<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** What a customer may bring along. */
enum Brought: string
{
    case Turbo = 'turbo';
    case Flanges = 'flanges';
    case Collector = 'collector';
    case Rings = 'v-bands';
    case Tube = 'tube';
    case Muffler = 'muffler';
    case Catalyst = 'catalyst';
    case Casting = 'casting';
    case Old = 'old';

    public function label(): string
    {
        return match ($this) {
            self::Turbo => 'Turbo',
            self::Flanges => 'Flanges',
            self::Collector => 'Collector',
            self::Rings => 'V-bands',
            self::Tube => 'Tube or a kit of bends',
            self::Muffler => 'Muffler',
            self::Catalyst => 'Catalyst',
            self::Casting => 'Cast manifold or elbow',
            self::Old => 'The old exhaust',
        };
    }
}
