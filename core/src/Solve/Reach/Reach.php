<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\Search\RodReach;
use UpsweptBead\Core\Solve\Reach\Search\TorchReach;

/** Where round a seam a torch and a rod get to, with each of some cups, past all that stands there. */
final readonly class Reach
{
    /** Places looked at round a seam unless fewer are asked for: arcs and holes wider than 2° are found. */
    private const PLACES = 180;

    /** Places looked at together. */
    private const STRETCH = 12;

    private const TORCH = 1;

    private const ROD = 2;

    /**
     * @param  list<Obstacle>  $obstacles
     * @param  int  $places  looked at round a seam: fewer are found out sooner, and narrower arcs and holes are missed
     */
    public function __construct(
        private Torch $torch,
        private ?FillerRod $rod,
        private array $obstacles,
        private int $places = self::PLACES,
    ) {}

    /**
     * @param  list<Cup>  $cups
     * @return list<CupReach>
     */
    public function round(RoundSeam $seam, array $cups): array
    {
        $stretches = $this->stretches($seam);
        $rod = $this->rod === null ? null : new RodReach($this->rod, $this->obstacles);

        return array_map(function (Cup $cup) use ($seam, $stretches, $rod): CupReach {
            $torch = new TorchReach($this->torch, $cup, $this->obstacles);
            $states = [];
            foreach ($stretches as $k => $stretch) {
                array_push($states, ...$this->states($torch, $rod, "$k", $stretch));
            }
            $arcs = fn (int $bit): array => Arcs::round(
                self::open($states, $bit),
                function (float $deg) use ($torch, $rod, $seam, $bit): bool {
                    $stretch = SeamArc::ofPlace($seam->at(deg2rad($deg)));

                    return ($this->states($torch, $rod, "at $deg", $stretch)[0] & $bit) !== 0;
                },
            );
            $reached = $arcs(self::TORCH);
            $fed = $rod === null ? null : $arcs(self::ROD);

            return new CupReach($cup, $reached, $fed, Arcs::sum($fed ?? $reached) / 360);
        }, $cups);
    }

    /**
     * @param  non-empty-list<SeamPlace>  $places
     * @param  list<Cup>  $cups
     * @return list<CupReach>
     */
    public function places(array $places, array $cups): array
    {
        $rod = $this->rod === null ? null : new RodReach($this->rod, $this->obstacles);

        return array_map(function (Cup $cup) use ($places, $rod): CupReach {
            $torch = new TorchReach($this->torch, $cup, $this->obstacles);
            $states = [];
            foreach ($places as $i => $place) {
                $states[] = $this->states($torch, $rod, "$i", SeamArc::ofPlace($place))[0];
            }
            $reached = self::open($states, self::TORCH);
            $fed = $rod === null ? null : self::open($states, self::ROD);

            return new CupReach(
                $cup,
                Arcs::ofPlaces($reached),
                $fed === null ? null : Arcs::ofPlaces($fed),
                count(array_filter($fed ?? $reached)) / count($places),
            );
        }, $cups);
    }

    /**
     * A neighbour without which some cup gets to some place; where there is none, one that is in the way.
     *
     * @param  RoundSeam|non-empty-list<SeamPlace>  $seam
     * @param  list<Cup>  $cups
     */
    public function blame(RoundSeam|array $seam, array $cups): ?string
    {
        $stretches = is_array($seam) ? array_map(SeamArc::ofPlace(...), $seam) : $this->stretches($seam);
        $ids = array_unique(array_map(static fn (Obstacle $one): string => $one->solid()->id, $this->obstacles));
        foreach ($ids as $id) {
            $isOther = static fn (Obstacle $one): bool => $one->solid()->id !== $id;
            $others = array_values(array_filter($this->obstacles, $isOther));
            foreach ($cups as $cup) {
                $torch = new TorchReach($this->torch, $cup, $others);
                foreach ($stretches as $stretch) {
                    if (in_array(true, $torch->of($stretch, $this->torch->senses), true)) {
                        return $id;
                    }
                }
            }
        }

        return $ids[0] ?? null;
    }

    /**
     * @param  string  $name  of the stretch
     * @return list<int> for each place whether the torch gets there, and whether torch and rod do in one sense of travel
     */
    private function states(TorchReach $torch, ?RodReach $rod, string $name, SeamArc $stretch): array
    {
        if ($rod === null) {
            return array_map(
                static fn (bool $isFree): int => $isFree ? self::TORCH : 0,
                $torch->of($stretch, $this->torch->senses),
            );
        }
        $states = array_fill(0, count($stretch->places), 0);
        foreach ($this->torch->senses as $sense) {
            foreach ($torch->of($stretch, [$sense]) as $i => $isFree) {
                if ($isFree) {
                    $isFed = $rod->isFree("$name.$i", $stretch->places[$i], $sense);
                    $states[$i] |= self::TORCH | ($isFed ? self::ROD : 0);
                }
            }
        }

        return array_values($states);
    }

    /**
     * @param  list<int>  $states
     * @return list<bool>
     */
    private static function open(array $states, int $bit): array
    {
        return array_map(static fn (int $state): bool => ($state & $bit) !== 0, $states);
    }

    /** @return list<SeamArc> */
    private function stretches(RoundSeam $seam): array
    {
        $rad = array_map(fn (int $i): float => 2 * M_PI * $i / $this->places, range(0, $this->places - 1));

        return array_map(
            static fn (array $some): SeamArc => SeamArc::ofSeam($seam, $some),
            array_chunk($rad, self::STRETCH),
        );
    }
}
