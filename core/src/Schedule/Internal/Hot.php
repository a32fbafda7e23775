<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule\Internal;

use UpsweptBead\Core\Schedule\Weld;

/** Welded joints that nobody has measured yet, each with the moment, in s, from which it is cool enough. */
final class Hot
{
    /** @var array<string, array{Warm, float}> */
    private array $joints = [];

    public function add(string $joint, Warm $warm, float $coolAtS): void
    {
        $this->joints[$joint] = [$warm, $coolAtS];
    }

    /** @return list<string> those that must be cool before a weld is begun: its neighbours on the same run */
    public function before(Weld $weld): array
    {
        $before = array_filter($this->joints, static fn (array $one): bool => $one[0]->delays($weld));

        return array_map(strval(...), array_keys($before));
    }

    /** @return list<string> */
    public function all(): array
    {
        return array_map(strval(...), array_keys($this->joints));
    }

    /**
     * Takes joints off the list as measured, in the order in which they become cool.
     *
     * @param  list<string>  $ids
     * @return array<string, float> by joint: what it still cools (s) when its turn to be measured comes
     */
    public function measure(array $ids, float $nowS): array
    {
        usort($ids, fn (string $a, string $b): int => $this->joints[$a][1] <=> $this->joints[$b][1]);
        $left = [];
        foreach ($ids as $id) {
            $left[$id] = max(0.0, $this->joints[$id][1] - $nowS);
            $nowS += $left[$id];
            unset($this->joints[$id]);
        }

        return $left;
    }
}
