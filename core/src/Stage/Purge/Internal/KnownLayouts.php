<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge\Internal;

use Closure;

/** What was laid out already: many joints are welded with the same things on the bench. */
final class KnownLayouts
{
    /** @var array<string, array{Pipework, list<array{string, string, float, float}>}> */
    private array $known = [];

    /**
     * @param  list<string>  $standing
     * @param  Closure(): array{Pipework, list<array{string, string, float, float}>}  $lay
     * @return array{Pipework, list<array{string, string, float, float}>}
     */
    public function of(array $standing, Closure $lay): array
    {
        return $this->known[implode('+', $standing)] ??= $lay();
    }
}
