<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Straight;

/** The pieces that fill one piece of straight stock the most: every choice is gone through, up to a limit. */
final class StraightFill
{
    /** Choices looked at for one piece of stock (tuned on the shipped problems). */
    private const MOST = 4000;

    /** @var list<int> */
    private array $sizes = [];

    /** @var array<int, int> sum of the sizes from each on */
    private array $sums = [];

    private int $most = 0;

    private int $looks = 0;

    /** @var list<int> */
    private array $best = [];

    /**
     * @param  list<int>  $sizes  the longest first
     * @return list<int> places in that list; the first is among them
     */
    public function with(array $sizes, int $room): array
    {
        $this->sizes = $sizes;
        $this->sums = [];
        $sum = 0;
        for ($i = count($sizes) - 1; $i >= 0; $i--) {
            $sum += $sizes[$i];
            $this->sums[$i] = $sum;
        }
        $this->sums[count($sizes)] = 0;
        $this->most = -1;
        $this->looks = self::MOST;
        $this->best = [];
        $this->choose(1, $room - $sizes[0], [0], $room);

        return $this->best;
    }

    /** @param  list<int>  $chosen */
    private function choose(int $next, int $left, array $chosen, int $room): void
    {
        if ($room - $left > $this->most) {
            $this->most = $room - $left;
            $this->best = $chosen;
        }
        $count = count($this->sizes);
        $skipped = -1;
        for ($i = $next; $i < $count; $i++) {
            if ($this->most >= $room || $room - $left + $this->sums[$i] <= $this->most || --$this->looks < 0) {
                return;
            }
            $size = $this->sizes[$i];
            if ($size <= $left && $size !== $skipped) {
                $this->choose($i + 1, $left - $size, [...$chosen, $i], $room);
                $skipped = $size;
            }
        }
    }
}
