<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/** One of a few values that a choice may have; `refused` says why not here, '' where it may. */
final readonly class Option
{
    public function __construct(public string $value, public string $refused = '') {}
}
