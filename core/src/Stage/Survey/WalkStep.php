<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Job\Measured\Way;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;

/** A reading that is still to be taken, and how. */
final readonly class WalkStep
{
    /**
     * @param  list<string>  $with
     * @param  string  $says  what is read
     * @param  string  $how  what to hold where
     * @param  bool  $isCheck  nothing hangs on it but whether the others agree
     */
    public function __construct(
        public ReadingKind $kind,
        public string $of,
        public array $with,
        public ?Way $way,
        public ?Way $toward,
        public string $says,
        public string $how,
        public bool $isCheck = false,
    ) {}
}
