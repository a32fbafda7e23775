<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reason;

/** A person's own value for a figure: the figure's key, the value as they wrote it, and why. */
final readonly class Override
{
    public function __construct(public string $figure, public string $value, public string $why) {}
}
