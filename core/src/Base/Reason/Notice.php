<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/** Something a person has to know about the plan, at its place in the job document. */
final readonly class Notice
{
    private function __construct(public Severity $severity, public string $path, public string $message) {}

    public static function problem(string $path, string $message): self
    {
        return new self(Severity::Problem, $path, $message);
    }

    public static function caution(string $path, string $message): self
    {
        return new self(Severity::Caution, $path, $message);
    }
}
