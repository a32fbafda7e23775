<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Quote;

/** One line of a quote: so much of something, at so much each. */
final readonly class QuoteLine
{
    /**
     * @param  float|null  $each  null where nobody has said what it costs
     * @param  string  $why  what the quantity follows from, in words
     */
    public function __construct(
        public string $key,
        public LineGroup $group,
        public string $what,
        public float $quantity,
        public string $unit,
        public ?float $each,
        public string $why = '',
    ) {}

    public function cost(): ?float
    {
        return $this->each === null ? null : $this->quantity * $this->each;
    }

    public function at(?float $each): self
    {
        return new self($this->key, $this->group, $this->what, $this->quantity, $this->unit, $each, $this->why);
    }
}
