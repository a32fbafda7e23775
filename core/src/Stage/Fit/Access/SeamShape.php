<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\SeamPlace;

/** A seam as it lies in space, and how its places stand on the dial of its joint. */
final readonly class SeamShape
{
    /**
     * @param  RoundSeam|non-empty-list<SeamPlace>  $seam
     * @param  list<float>  $dialDeg  of each place, one step after the other either way round; empty for one with two
     *   ends
     */
    public function __construct(public RoundSeam|array $seam, private array $dialDeg = []) {}

    /**
     * What was found of it, as the dial shows it: in degrees; of a seam with two ends in hundredths of it.
     *
     * @param  list<array{float, float}>  $found  degrees of a round seam, else numbers of places
     * @return list<array{float, float}>
     */
    public function arcs(array $found): array
    {
        if ($this->seam instanceof RoundSeam) {
            return $found;
        }
        $count = count($this->seam);

        return array_map(fn (array $arc): array => $this->dialDeg === []
            ? [100 * $arc[0] / $count, 100 * ($arc[1] + 1) / $count]
            : $this->onDial((int) $arc[0], (int) $arc[1], 180 / $count), $found);
    }

    /** @return array{float, float} */
    private function onDial(int $first, int $last, float $halfStepDeg): array
    {
        $places = $last - $first;
        [$from, $to] = [$this->dialDeg[$first], $this->dialDeg[$last]];
        $next = $this->dialDeg[($first + 1) % count($this->dialDeg)] - $this->dialDeg[$first];
        // The dial turns clockwise; the places may go the other way.
        $isWith = $next - 360 * round($next / 360) > 0.0;
        $start = ($isWith ? $from : $to) - $halfStepDeg;
        $start -= 360 * floor($start / 360);

        return [$start, $start + 2 * $halfStepDeg * ($places + 1)];
    }
}
