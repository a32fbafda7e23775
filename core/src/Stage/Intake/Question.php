<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

/** One thing to be asked when a job comes in, with what may be answered. */
final readonly class Question
{
    /**
     * @param  string  $key  of the job's intake
     * @param  string  $kind  choice, count, text, heat, money or yes-no
     * @param  array<string, string>  $options  what a choice may be, by its value
     * @param  string  $hint  what it is good for, or how it is written
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $kind,
        public array $options = [],
        public string $hint = '',
        public int $most = 0,
    ) {}
}
