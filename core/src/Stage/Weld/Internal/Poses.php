<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld\Internal;

use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Shop\Practice\Memo;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Gas\Hold;
use UpsweptBead\Core\Solve\Gas\Inside;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Purge\Enclosure;
use UpsweptBead\Core\Stage\Purge\Enclosures;
use UpsweptBead\Core\Stage\Purge\HeldBy;
use UpsweptBead\Core\Stage\Purge\PurgePose;

/** How the assembly around each joint is purged; worked out once for joints that are purged alike. */
final class Poses
{
    /** @var array<string, PurgePose> */
    private array $known = [];

    /** @var array<string, array{Enclosure, PurgePose}> by what joints have in common */
    private array $found = [];

    /** @var array<string, Inside> */
    private array $insides = [];

    /** @param  bool  $isInFull  whether there is time for what is fitted together; else a run counts by itself */
    public function __construct(
        private readonly Enclosures $enclosures,
        private readonly Memo $memo,
        private readonly bool $isInFull,
        private readonly Hold $hold,
    ) {}

    /** @return array{TubeSize, PurgePose, HeldBy} */
    public function of(Joint $joint, Overrides $overrides): array
    {
        [$enclosed, $pose] = $this->found[$this->enclosures->group($joint)] ??= $this->find($joint);
        $held = HeldBy::of($joint, $pose, array_map(strval(...), array_keys($enclosed->ways)), $overrides);

        return [$enclosed->tube, $held->way === null ? $pose : $this->known($enclosed->held($held->way)), $held];
    }

    /** @return array{Enclosure, PurgePose} */
    private function find(Joint $joint): array
    {
        $enclosed = $this->enclosures->of($joint);
        // Where fewer than two ends are open, nothing can be fed and vented: the run counts by itself.
        $isClosed = count($enclosed->inside->mouths) < 2;
        $isQuick = $this->isInFull || $enclosed->isOne() || $this->recalled($this->key($enclosed)) !== null;
        if ($isClosed || ! $isQuick) {
            $enclosed = $this->enclosures->apart($joint);
        }
        // Mostly it may be held as on the vehicle; other ways depend on all that stands beside it.
        $pose = isset($enclosed->ways['']) ? $this->known($enclosed->held('')) : null;
        if ($pose === null || $pose->trappedMl > PurgePose::WORTH_ML) {
            $pose = $this->known($enclosed);
        }

        return [$enclosed, $pose];
    }

    private function known(Enclosure $enclosed): PurgePose
    {
        $key = $this->key($enclosed);

        return $this->known[$key] ??= $this->recalled($key) ?? $this->worked($enclosed, $key);
    }

    private function key(Enclosure $enclosed): string
    {
        return "{$enclosed->key()}-{$this->hold->flowLMin}-{$this->hold->holeMm}";
    }

    private function recalled(string $key): ?PurgePose
    {
        $pose = $this->memo->recall([$key])[$key] ?? null;

        return $pose instanceof PurgePose ? $pose : null;
    }

    private function worked(Enclosure $enclosed, string $key): PurgePose
    {
        $inside = $this->insides[$enclosed->inside->key] ??= PurgePose::inside($enclosed);
        $pose = PurgePose::of($enclosed, $inside, $this->hold);
        $this->memo->keep([$key => $pose]);

        return $pose;
    }
}
