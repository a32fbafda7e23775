<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** How cool a seam has to be before the next is welded beside it: two ways that shops work by. */
enum CoolPractice: string
{
    case Touch = 'touch';
    case Code = 'code';

    public function label(): string
    {
        return match ($this) {
            self::Touch => 'Touch-cool',
            self::Code => 'Below the code limit',
        };
    }

    /** The shop rule that says how cool. */
    public function rule(): string
    {
        return match ($this) {
            self::Touch => 'cool.touch',
            self::Code => 'cool.code',
        };
    }

    /** Why a shop works so. */
    public function why(): string
    {
        return match ($this) {
            self::Touch => 'Best colour and least pull: the next seam is begun when a bare hand could rest on the last.',
            self::Code => 'What written procedures ask of austenitic steel at most. Quicker, with more colour and more pull; hands still wait for touch-cool.',
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
