<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Stage\Purge\Internal\Joined;

/** What is closed off and filled for a joint as it lies on the bench, and how it may be held there. */
final readonly class Enclosure
{
    /**
     * @param  list<string>  $standing  what lies there: whole runs and collectors by letter, pieces by mark
     * @param  Joined  $inside  what of it is filled
     * @param  array<string, Vector>  $ways  which way up is, by how it is held, the easiest first; '' as on the vehicle
     * @param  ?string  $through  a mouth that the argon goes in or out by, so that it passes the joint
     * @param  bool  $isEntered  whether the torch goes in there, so that it stays open
     */
    public function __construct(
        public array $standing,
        public TubeSize $tube,
        public Joined $inside,
        public array $ways,
        public ?string $through,
        public bool $isEntered,
    ) {}

    /** Whether it is one tube by itself. */
    public function isOne(): bool
    {
        return count($this->inside->assembly->tubes) === 1;
    }

    /** The same held only one of its ways. */
    public function held(string $way): self
    {
        return new self(
            $this->standing, $this->tube, $this->inside, [$way => $this->ways[$way]], $this->through, $this->isEntered,
        );
    }

    /** The same for whatever is filled and held alike. */
    public function key(): string
    {
        return 'pose-'.hash('xxh128', serialize([
            $this->inside->key, $this->standing, $this->ways, $this->through, $this->isEntered,
        ]));
    }
}
