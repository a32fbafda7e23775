<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/**
 * A person's own value for a figure: the figure's key, the value as they wrote it, and why; or what a customer's
 * written procedure asks for, by its name.
 */
final readonly class Override
{
    public function __construct(
        public string $figure,
        public string $value,
        public string $why,
        public string $procedure = '',
    ) {}
}
