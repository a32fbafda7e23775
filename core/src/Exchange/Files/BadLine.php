<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

/** A line of a table that cannot be used; never leaves its reader. */
final class BadLine extends \DomainException
{
    public function __construct(public readonly int $atLine, public readonly string $text, string $why)
    {
        parent::__construct($why);
    }
}
