<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Document;

/** Collects what is wrong with a document while it is read; the one mutable thing in reading. */
final class Faults
{
    private const MOST = 50;

    /** @var list<Fault> */
    private array $all = [];

    public function add(Fault $fault): void
    {
        if (count($this->all) < self::MOST) {
            $this->all[] = $fault;
        }
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return $this->all;
    }

    /** @return list<Fault> the first of each place: what holds for several fields is read with each of them */
    public function onePerPlace(): array
    {
        $byPath = [];
        foreach ($this->all as $fault) {
            $byPath[$fault->path] ??= $fault;
        }

        return array_values($byPath);
    }
}
