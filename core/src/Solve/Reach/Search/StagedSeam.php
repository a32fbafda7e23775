<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Search;

use UpsweptBead\Core\Solve\Reach\Arcs;
use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\SeamPlace;

/**
 * Where round a seam a torch and a rod get to, stage by stage, as ever more stands there: alone on the bench, with its
 * neighbours, on the vehicle. The same answers as of Reach for what stands there at each, found together in less time.
 */
final class StagedSeam
{
    /** @var list<StagedPlace> */
    private array $places = [];

    /** @var array<string, StagedPlace> between those, where an arc was found to end; by name */
    private array $between = [];

    /**
     * @param  RoundSeam|non-empty-list<SeamPlace>  $seam
     * @param  array<string, list<InTheWay>>  $groups  what stands there, by name
     * @param  list<list<string>>  $stages  names of the groups that come new with each
     * @param  int  $count  of places looked at round a round seam
     */
    public function __construct(
        private readonly Tools $tools,
        private readonly RoundSeam|array $seam,
        private readonly array $groups,
        private readonly array $stages,
        private readonly int $count,
    ) {
        $places = is_array($seam)
            ? $seam
            : array_map(static fn (int $i): SeamPlace => $seam->at(2 * M_PI * $i / $count), range(0, $count - 1));
        foreach ($places as $place) {
            $this->places[] = $this->staged($place);
        }
    }

    /** @return array{list<array{float, float}>, float} arcs in degrees, or numbers of places; and their share of the seam */
    public function reached(string $cup, int $stage): array
    {
        $isOpen = array_map(static fn (StagedPlace $one): bool => $one->isOpen($cup, $stage), $this->places);
        $seam = $this->seam;
        if (is_array($seam)) {
            return [Arcs::ofPlaces($isOpen), count(array_filter($isOpen)) / count($isOpen)];
        }
        $arcs = Arcs::round($isOpen, function (float $deg) use ($cup, $stage, $seam): bool {
            $place = $this->between["at $deg"] ??= $this->staged($seam->at(deg2rad($deg)));

            return $place->isOpen($cup, $stage);
        });

        return [$arcs, Arcs::sum($arcs) / 360];
    }

    /** Whether one group alone closes a place that is open at first and closed at a stage. */
    public function isClosedBy(string $group, string $cup, int $stage): bool
    {
        foreach ($this->places as $place) {
            if ($place->isOpen($cup, 0) && ! $place->isOpen($cup, $stage) && ! $place->isOpenWith($cup, $group)) {
                return true;
            }
        }

        return false;
    }

    private function staged(SeamPlace $place): StagedPlace
    {
        return new StagedPlace($this->tools, $place, $this->groups, $this->stages);
    }
}
