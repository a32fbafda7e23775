<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Exchange\Files\PurgeAnswerWriter;
use UpsweptBead\Core\Exchange\Files\PurgeProblem;
use UpsweptBead\Core\Exchange\Files\PurgeProblemReader;

/** Assemblies to fill with argon. */
final class SomePurges
{
    /** @return array<string, mixed> one of the shipped problems, or its answer */
    public static function shipped(string $name, string $folder = ''): array
    {
        $json = (string) file_get_contents(dirname(__DIR__)."/problems/purge/$folder$name.json");
        $problem = json_decode($json, true, 32, JSON_THROW_ON_ERROR);

        return is_array($problem) ? array_combine(array_map(strval(...), array_keys($problem)), $problem) : [];
    }

    /** @return array<string, mixed> */
    public static function answer(mixed $problem): array
    {
        $read = PurgeProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

        return $read instanceof PurgeProblem
            ? PurgeAnswerWriter::toArray($read)
            : throw new \DomainException("{$read[0]->field} {$read[0]->what}");
    }
}
