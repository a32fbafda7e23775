<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Gas\Assembly;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Stock\TubeSize;

/** What is closed off and filled for a joint as it lies on the bench, and how it may be held there. */
final readonly class Enclosure
{
    /**
     * @param  list<string>  $standing  what lies there: whole runs and collectors by letter, pieces by mark
     * @param  list<string>  $filled  what of it is filled
     * @param  array<string, Mouth>  $mouths  by their ids
     * @param  array<string, Vector>  $ways  which way up is, by how it is held, the easiest first; '' as on the vehicle
     * @param  ?string  $through  a mouth that the argon goes in or out by, so that it passes the joint
     * @param  bool  $isEntered  whether the torch goes in there, so that it stays open
     */
    public function __construct(
        public array $standing,
        public array $filled,
        public TubeSize $tube,
        public Assembly $assembly,
        public array $mouths,
        public array $ways,
        public ?string $through,
        public bool $isEntered,
    ) {}

    /** Whether it is one tube by itself. */
    public function isOne(): bool
    {
        return count($this->assembly->tubes) === 1;
    }

    /** The same for whatever has the same inside. */
    public function insideKey(): string
    {
        return 'inside-'.hash('xxh128', serialize([$this->assembly, array_keys($this->mouths)]));
    }

    /** The same for whatever is filled and held alike. */
    public function key(): string
    {
        return 'pose-'.hash('xxh128', serialize($this));
    }
}
