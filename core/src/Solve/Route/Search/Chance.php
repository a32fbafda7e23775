<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Random numbers that are the same for the same seed. */
final class Chance
{
    private const WHOLE = 1 << 52;

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** From 0 up to, not including, 1. */
    public function share(): float
    {
        return $this->random->getInt(0, self::WHOLE - 1) / self::WHOLE;
    }

    /** From $least up to, not including, $least + $width. */
    public function from(float $least, float $width): float
    {
        return $least + $width * $this->share();
    }

    /** From 0 to $most − 1. */
    public function below(int $most): int
    {
        return $this->random->getInt(0, $most - 1);
    }

    /**
     * @template T
     *
     * @param  list<T>  $items
     * @return list<T>
     */
    public function shuffled(array $items): array
    {
        return $this->random->shuffleArray($items);
    }
}
