<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** How a reading stands to all the others. */
final readonly class ReadingStanding
{
    /**
     * @param  float  $off  by how much the rest says otherwise where it is worst, mm or degrees; never below 0
     * @param  float|null  $times  how many times its own doubt that is; null where nothing else checks it
     * @param  bool  $isSuspect  it is one of those that do not agree
     */
    public function __construct(
        public Quantity $quantity,
        public float $sigma,
        public float $off,
        public ?float $times,
        public bool $isSuspect,
    ) {}

    public function offText(UnitSystem $units): string
    {
        return $this->quantity->show($this->off, $units);
    }
}
