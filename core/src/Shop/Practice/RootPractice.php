<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** How the root of a seam is kept from burning: three ways that shops work by. */
enum RootPractice: string
{
    /** The figure by which it is chosen for all joints of a job. */
    public const OF_JOB = 'purge.school';

    case Argon = 'argon';
    case Flux = 'flux';
    case None = 'none';

    public function label(): string
    {
        return match ($this) {
            self::Argon => 'Argon',
            self::Flux => 'Flux paste',
            self::None => 'None',
        };
    }

    /** Why a shop works so. */
    public function why(): string
    {
        return match ($this) {
            self::Argon => 'Argon is the only one that leaves a clean, sound root that can be measured; always upstream of a turbine or an engine.',
            self::Flux => 'Flux paste brushed on inside saves the gas of a whole system. It leaves glass behind, which must never reach a turbine or an engine, and nobody can measure it.',
            self::None => 'Some accept a burnt root on a street muffler system. It cracks round under heat cycling, so it takes a reason.',
        };
    }

    /** One of them as somebody wrote it; null where it is none. */
    public static function read(string $text): ?self
    {
        foreach (self::cases() as $one) {
            if (in_array(mb_strtolower(trim($text)), [$one->value, mb_strtolower($one->label())], true)) {
                return $one;
            }
        }

        return null;
    }
}
