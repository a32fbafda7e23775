<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** Where it runs: that decides which law or rule comes first. */
enum Ground: string
{
    case Road = 'road';
    case Sport = 'class';
    case Private = 'private';

    public function label(): string
    {
        return match ($this) {
            self::Road => 'On the road',
            self::Sport => 'In a racing class',
            self::Private => 'On private ground only',
        };
    }
}
