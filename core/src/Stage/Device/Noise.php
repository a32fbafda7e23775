<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

/** Small deviations that look like chance, and are the same for the same seed and moment. */
final readonly class Noise
{
    public function __construct(private string $seed) {}

    /** From −1 to 1, about nought most of the time; another one ten times a second. */
    public function at(float $seconds): float
    {
        $hash = hash('xxh128', $this->seed.round($seconds * 10));
        $sum = 0.0;
        for ($i = 0; $i < 3; $i++) {
            $sum += hexdec(substr($hash, 6 * $i, 6)) / 0xFF_FF_FF;
        }

        return 2 * $sum / 3 - 1;
    }
}
