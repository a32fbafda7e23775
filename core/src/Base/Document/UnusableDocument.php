<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Document;

use UpsweptBead\Core\CoreError;

/** A text that is no document of the kind asked for at all, so that no place in it can be named. */
final class UnusableDocument extends \InvalidArgumentException implements CoreError
{
    public static function tooLarge(int $bytes, int $most): self
    {
        return new self(
            sprintf('The file has %s bytes; at most %s are read.', number_format($bytes), number_format($most)),
        );
    }

    public static function notJson(string $why): self
    {
        return new self("This is not complete JSON: $why.");
    }

    public static function notThisFormat(string $format): self
    {
        return new self(sprintf('This is not a %s file: it must be an object with "format": "%s".', $format, $format));
    }

    public static function otherVersion(string $format, string $found, int $known): self
    {
        return new self(
            sprintf('This %s file has version %s; this program reads version %d.', $format, $found, $known),
        );
    }
}
