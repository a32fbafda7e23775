<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/**
 * Remembers what was worked out before, by what it was worked out from: an edit of one run then measures anew only what
 * that run has to do with. A memo never changes an answer; without one everything is worked out each time.
 */
interface Memo
{
    /**
     * @param  list<string>  $keys  each says all that its value depends on
     * @return array<string, mixed> by key, what is remembered of them
     */
    public function recall(array $keys): array;

    /** @param  array<string, mixed>  $values  by key */
    public function keep(array $values): void;
}
