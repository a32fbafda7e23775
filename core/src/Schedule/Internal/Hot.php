<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule\Internal;

use UpsweptBead\Core\Fit\Order\Phase;
use UpsweptBead\Core\Schedule\Weld;

/** Welded joints that nobody has measured yet, each with the moment, in s, from which it is cool enough. */
final class Hot
{
    /** @var array<string, array{Weld, float, float}> with the time from which it is cool, and how far it is felt (mm) */
    private array $joints = [];

    public function add(Weld $weld, float $coolAtS, float $apartMm): void
    {
        $this->joints[$weld->joint->id] = [$weld, $coolAtS, $apartMm];
    }

    /**
     * Those that must be cool before a weld is begun: its neighbours on the same run; and all from before the runs were
     * tacked, or fitted together again, as hands and rulers go there in between.
     *
     * @return list<string>
     */
    public function before(Weld $weld): array
    {
        $ids = [];
        foreach ($this->joints as $id => [$hot, , $apartMm]) {
            $isBeside = $hot->joint->run === $weld->joint->run
                && abs($hot->joint->seam->stationMm - $weld->joint->seam->stationMm) < $apartMm;
            if ($isBeside || self::isHandledBetween($hot, $weld)) {
                $ids[] = $id;
            }
        }

        return $ids;
    }

    private static function isHandledBetween(Weld $earlier, Weld $later): bool
    {
        // Where nothing is done between two welds, no hand goes there.
        return $earlier->batch !== $later->batch
            && ($earlier->phase->isFollowedByHands() || $later->phase === Phase::Together);
    }

    /** @return list<string> */
    public function all(): array
    {
        return array_map(strval(...), array_keys($this->joints));
    }

    /**
     * Seconds until the last of some joints is cool.
     *
     * @param  list<string>  $ids
     */
    public function waitS(array $ids, float $nowS): float
    {
        return max([0.0, ...array_map(fn (string $id): float => $this->joints[$id][1] - $nowS, $ids)]);
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
