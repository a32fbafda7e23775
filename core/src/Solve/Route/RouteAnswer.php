<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route;

use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;

/** One buildable way: the run, and the figures answers are ranked by. */
final readonly class RouteAnswer
{
    private const WORTH_SAYING_PERCENT = 3.0;

    /** @param  array<string, int>  $toBuy  by stock id, what of it is not on the shelf */
    public function __construct(
        public TubeRun $run,
        public int $joints,
        public int $oddAngles,
        public float $lengthMm,
        public array $toBuy = [],
    ) {}

    public function bends(): int
    {
        return count($this->run->bends);
    }

    /**
     * The order of preference: joints, bends, angles off the grid, length to a millimetre; where these are equal, what
     * has not to be bought comes first, then the wider radius, which flows better and thins less.
     *
     * @return array{int, int, int, float, int, float, float}
     */
    public function rank(): array
    {
        return [
            $this->joints, $this->bends(), $this->oddAngles, round($this->lengthMm),
            array_sum($this->toBuy), -$this->tightestMm(), round($this->lengthMm, 3),
        ];
    }

    /** The least centreline radius (mm) of its bends; a straight tube has none that is too tight. */
    private function tightestMm(): float
    {
        return $this->run->bends === []
            ? INF
            : min(array_map(static fn (Bend $bend): float => $bend->clrMm, $this->run->bends));
    }

    /**
     * Says what this answer gives up against the best of the others in each respect; empty if nothing.
     *
     * @param  list<self>  $others
     * @return list<string>
     */
    public function givesUp(array $others): array
    {
        $all = [$this, ...$others];
        $joints = $this->joints - min(array_map(static fn (self $other): int => $other->joints, $all));
        $longer =
            100 * ($this->lengthMm / min(array_map(static fn (self $other): float => $other->lengthMm, $all)) - 1);

        return array_values(array_filter([
            $joints > 0 ? $joints.' more '.($joints === 1 ? 'joint' : 'joints') : '',
            $this->oddAngles > 0 ? $this->oddAngles.' odd '.($this->oddAngles === 1 ? 'angle' : 'angles') : '',
            $longer >= self::WORTH_SAYING_PERCENT ? sprintf('%.0f %% longer', $longer) : '',
        ], static fn (string $part): bool => $part !== ''));
    }
}
