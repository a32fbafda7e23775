<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units\Exception;

use UpsweptBead\Core\CoreError;

/** A text that cannot be read as the quantity that was asked for. */
final class UnreadableQuantity extends \InvalidArgumentException implements CoreError
{
    private function __construct(string $message, public readonly string $text, public readonly string $accepted)
    {
        parent::__construct($message);
    }

    public static function notANumber(string $quantity, string $text, string $accepted): self
    {
        return new self(
            sprintf('"%s" is not a %s; write it like %s.', self::shorten($text), $quantity, $accepted),
            $text,
            $accepted,
        );
    }

    public static function unknownUnit(string $quantity, string $unit, string $text, string $accepted): self
    {
        return new self(
            sprintf(
                '"%s" in "%s" is not a unit of %s; write it like %s.',
                self::shorten($unit),
                self::shorten($text),
                $quantity,
                $accepted,
            ),
            $text,
            $accepted,
        );
    }

    public static function unitMissing(string $quantity, string $text, string $accepted): self
    {
        return new self(
            sprintf('"%s" needs a unit of %s; write it like %s.', self::shorten($text), $quantity, $accepted),
            $text,
            $accepted,
        );
    }

    public static function outOfRange(string $quantity, string $text, string $range): self
    {
        return new self(
            sprintf('"%s" is out of range for a %s: %s.', self::shorten($text), $quantity, $range),
            $text,
            $range,
        );
    }

    private static function shorten(string $text): string
    {
        return mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;
    }
}
