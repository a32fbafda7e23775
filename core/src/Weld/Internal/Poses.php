<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld\Internal;

use UpsweptBead\Core\Gas\Inside;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Purge\Enclosure;
use UpsweptBead\Core\Purge\Enclosures;
use UpsweptBead\Core\Purge\PurgePose;
use UpsweptBead\Core\Shop\Memo;
use UpsweptBead\Core\Stock\TubeSize;

/** How what each joint is of is filled; worked out once for all that are filled alike. */
final class Poses
{
    /** @var array<string, PurgePose> */
    private array $known = [];

    /** @var array<string, Inside> */
    private array $insides = [];

    /** @param  bool  $isInFull  whether there is time for what is fitted together; else a run counts by itself */
    public function __construct(
        private readonly Enclosures $enclosures,
        private readonly Memo $memo,
        private readonly bool $isInFull,
    ) {}

    /** @return array{TubeSize, PurgePose} */
    public function of(Joint $joint): array
    {
        $enclosed = $this->enclosures->of($joint);
        $key = $enclosed->key();
        $pose = $this->known[$key] ?? $this->recalled($key);
        if ($pose === null && ! $this->isInFull && ! $enclosed->isOne()) {
            $enclosed = $this->enclosures->apart($joint);
            $key = $enclosed->key();
            $pose = $this->known[$key] ?? $this->recalled($key);
        }

        return [$enclosed->tube, $this->known[$key] = $pose ?? $this->worked($enclosed, $key)];
    }

    private function recalled(string $key): ?PurgePose
    {
        $pose = $this->memo->recall([$key])[$key] ?? null;

        return $pose instanceof PurgePose ? $pose : null;
    }

    private function worked(Enclosure $enclosed, string $key): PurgePose
    {
        $inside = $this->insides[$enclosed->insideKey()] ??= PurgePose::inside($enclosed);
        $pose = PurgePose::of($enclosed, $inside);
        $this->memo->keep([$key => $pose]);

        return $pose;
    }
}
