<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** Remembers nothing. */
final readonly class NoMemo implements Memo
{
    public function recall(array $keys): array
    {
        return [];
    }

    public function keep(array $values): void {}
}
