<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Stores;

/** One line of the stores: how much there is, how much of it is promised to released jobs, and when to buy more. */
final readonly class StoreItem
{
    /**
     * @param  string  $key  what jobs ask for it by: the catalogue's id, or that of a part
     * @param  float  $onHand  in the unit of its kind
     * @param  float  $promised  of that, to jobs
     * @param  float|null  $cost  of one unit
     * @param  float|null  $reorderAt  so much left is the sign to buy more; null where nobody watches it
     * @param  float|null  $reorderTo  and this is bought up to
     */
    public function __construct(
        public string $key,
        public ItemKind $kind,
        public string $name,
        public float $onHand,
        public float $promised = 0.0,
        public ?float $cost = null,
        public ?float $reorderAt = null,
        public ?float $reorderTo = null,
    ) {}

    /** What nobody was promised. */
    public function free(): float
    {
        return max(0.0, $this->onHand - $this->promised);
    }

    /** What a job can take: what was promised to it, and what nobody was. */
    public function forJob(float $promisedToIt): float
    {
        return max(0.0, $this->onHand - ($this->promised - $promisedToIt));
    }

    /** How much to buy; 0 while there is enough. */
    public function toReorder(): float
    {
        if ($this->reorderAt === null || $this->free() > $this->reorderAt) {
            return 0.0;
        }

        return max(0.0, max($this->reorderTo ?? 0.0, $this->reorderAt) - $this->free());
    }
}
