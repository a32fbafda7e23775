<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Document;

/** Something wrong at one place of a document: where, what, and what would be accepted. */
final readonly class Fault
{
    /** @param  mixed  $value  what stands there, as it was read */
    public function __construct(
        public string $path,
        public string $code,
        public string $message,
        public mixed $value = null,
    ) {}
}
