<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/**
 * Why a proposed value is what it is: the rule in words, what it was fed with, its source, and what would change it.
 */
final readonly class Reason
{
    /** @param  list<Input>  $inputs */
    public function __construct(
        public string $rule,
        public array $inputs,
        public Source $source,
        public string $changes = '',
    ) {}
}
