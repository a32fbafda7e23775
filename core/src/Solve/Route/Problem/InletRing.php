<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

/** Inlets in their order round an axis, and which tubes may enter them. */
final readonly class InletRing
{
    /** Of the ways into a free collector no more than this are given. */
    public const MOST = 1000;

    /**
     * @param  non-empty-list<Inlet>  $inlets
     * @param  list<string>  $runners  port ids; in firing order where the mode is cyclic
     * @param  list<int>  $fixed  in fixed mode, for each of the runners the index of its inlet
     * @param  float  $nearMm  points of two tubes that are both within this of their own ends …
     * @param  float  $nearGapMm  … need only this gap
     */
    public function __construct(
        public string $id,
        public array $inlets,
        public AssignmentMode $mode,
        public array $runners,
        public array $fixed = [],
        public float $nearMm = 0.0,
        public float $nearGapMm = 0.0,
    ) {}

    /**
     * Gives every permitted way in for the runners of a fixed or cyclic collector, or for few runners of a free one.
     *
     * @return list<list<int>> for each of the runners the index of its inlet
     */
    public function assignments(int $most = self::MOST): array
    {
        return match ($this->mode) {
            AssignmentMode::Fixed => [$this->fixed],
            AssignmentMode::Cyclic => $this->rotations(),
            AssignmentMode::Any => $this->injections($most),
        };
    }

    /** @return list<list<int>> */
    private function rotations(): array
    {
        [$n, $places] = [count($this->inlets), []];
        foreach ([1, -1] as $sense) {
            for ($start = 0; $start < $n; $start++) {
                $place = [];
                foreach (array_keys($this->runners) as $i) {
                    $place[] = ($start + $sense * $i + $n * count($this->runners)) % $n;
                }
                $places[implode(',', $place)] = $place;
            }
        }

        return array_values($places);
    }

    /** @return list<list<int>> */
    private function injections(int $most): array
    {
        $partial = [[]];
        foreach ($this->runners as $ignored) {
            $longer = [];
            foreach ($partial as $place) {
                foreach (array_keys($this->inlets) as $inlet) {
                    if (! in_array($inlet, $place, true)) {
                        $longer[] = [...$place, $inlet];
                    }
                }
            }
            $partial = array_slice($longer, 0, $most * 4);
        }

        return array_slice($partial, 0, $most);
    }
}
