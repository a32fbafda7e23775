<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule\Internal;

use UpsweptBead\Core\Schedule\Weld;

/** Welded joints that no hand has touched yet, each with the moments, in s, from which it is cool enough for that. */
final class Hot
{
    /** @var array<string, array{Warm, float, float}> with when the next seam may be welded beside it, and when a hand may rest on it */
    private array $joints = [];

    public function add(string $joint, Warm $warm, float $coolAtS, float $touchAtS): void
    {
        $this->joints[$joint] = [$warm, $coolAtS, $touchAtS];
    }

    /**
     * Those that have to be cool before a weld is begun: its neighbours on the same run. They are measured then.
     *
     * @return array<string, float> by joint: what it still cools (s) when its turn to be measured comes
     */
    public function before(Weld $weld, float $nowS): array
    {
        return $this->measured(
            array_filter(
                $this->joints,
                static fn (array $one): bool => $one[1] > -INF && $one[0]->delays($weld),
            ),
            1,
            $nowS,
        );
    }

    /**
     * Those that hands go to before a weld is begun.
     *
     * @return array<string, float> as above
     */
    public function handled(Weld $weld, float $nowS): array
    {
        return $this->measured(
            array_filter($this->joints, static fn (array $one): bool => $one[0]->isHandledBefore($weld)),
            2,
            $nowS,
        );
    }

    /** @return array<string, float> all of them, when all is welded; as above */
    public function all(float $nowS): array
    {
        return $this->measured($this->joints, 2, $nowS);
    }

    /**
     * Takes joints off the list as measured, in the order in which they become cool.
     *
     * @param  array<string, array{Warm, float, float}>  $joints
     * @param  1|2  $by  which of the two moments counts
     * @return array<string, float>
     */
    private function measured(array $joints, int $by, float $nowS): array
    {
        uasort($joints, static fn (array $a, array $b): int => $a[$by] <=> $b[$by]);
        $left = [];
        foreach ($joints as $id => $one) {
            $left[$id] = max(0.0, $one[$by] - $nowS);
            $nowS += $left[$id];
            // Cool enough for the next seam, it may still be too hot for a hand.
            if ($one[2] <= $nowS + 1e-9) {
                unset($this->joints[$id]);
            } else {
                $this->joints[$id][1] = -INF;
            }
        }

        return $left;
    }
}
