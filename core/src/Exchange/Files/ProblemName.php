<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

/** The name in a file of an open format that has no answer, as far as there is one. */
final readonly class ProblemName
{
    private const MOST_LETTERS = 200;

    /** @param  string  $field  that holds it */
    public static function in(string $json, string $field = 'name'): string
    {
        $document = json_decode($json, true, 64);
        $name = is_array($document) ? $document[$field] ?? null : null;

        return is_string($name) ? mb_substr($name, 0, self::MOST_LETTERS) : '';
    }
}
