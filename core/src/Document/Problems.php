<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Document;

/** Collects what is wrong with a document while it is read; the one mutable thing in reading. */
final class Problems
{
    private const MOST = 50;

    /** @var list<Problem> */
    private array $all = [];

    public function add(Problem $problem): void
    {
        if (count($this->all) < self::MOST) {
            $this->all[] = $problem;
        }
    }

    /** @return list<Problem> */
    public function all(): array
    {
        return $this->all;
    }
}
