<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Shop\Practice\Memo;

/**
 * Remembers in the memory that the web workers of one machine share; nothing where there is none, as on the command
 * line.
 */
final readonly class SharedMemo implements Memo
{
    private const KEEP_SECONDS = 3600;

    public function recall(array $keys): array
    {
        if (! self::isThere()) {
            return [];
        }
        $known = [];
        $found = apcu_fetch($keys);
        foreach (is_array($found) ? $found : [] as $key => $value) {
            $known[(string) $key] = $value;
        }

        return $known;
    }

    public function keep(array $values): void
    {
        if ($values !== [] && self::isThere()) {
            apcu_store($values, null, self::KEEP_SECONDS);
        }
    }

    private static function isThere(): bool
    {
        return function_exists('apcu_enabled') && apcu_enabled();
    }
}
