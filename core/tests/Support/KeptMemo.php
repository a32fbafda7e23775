<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Shop\Practice\Memo;

/** Remembers as the web workers do, for as long as it is held. */
final class KeptMemo implements Memo
{
    /** @var array<string, mixed> */
    private array $known = [];

    public function recall(array $keys): array
    {
        return array_intersect_key($this->known, array_flip($keys));
    }

    public function keep(array $values): void
    {
        foreach ($values as $key => $value) {
            $this->known[$key] = $value;
        }
    }
}
