<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use Closure;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Plan\Sketch;

/** How far the skin of a piece lies behind its ends, from the outer side to the inner, mm; empty for a square end. */
final readonly class SkinBack
{
    private const STEP_DEG = 10;

    /**
     * @param  list<float>  $startMm
     * @param  list<float>  $endMm
     */
    private function __construct(public array $startMm, public array $endMm) {}

    public static function of(Sketch $sketch, Piece $piece): self
    {
        $pieces = $sketch->cut->piecesOf($piece->run);
        $isFirst = ($pieces[0] ?? null)?->mark === $piece->mark;
        $isLast = ($pieces[count($pieces) - 1] ?? null)?->mark === $piece->mark;
        foreach ($sketch->layout->placement->collectors->all as $collector) {
            if ($collector->build->letter === $piece->run) {
                return new self([], self::list($collector->shape === null ? null : $collector->shape->backMm(...)));
            }
        }

        return new self(
            $isFirst ? self::list(self::ofRun($sketch, $piece->run, true)) : [],
            $isLast ? self::list(self::ofRun($sketch, $piece->run, false)) : [],
        );
    }

    /** @return (Closure(float): float)|null by the angle round it in radians; null where the end of a run is square */
    private static function ofRun(Sketch $sketch, string $letter, bool $isStart): ?Closure
    {
        $placement = $sketch->layout->placement;
        foreach ($placement->slants as $slant) {
            if ($slant->letter === $letter && $slant->isStart === $isStart) {
                return $slant->fromLongestMm(...);
            }
        }
        $branch = $placement->branchAt($letter, $isStart);

        return $branch?->saddle === null ? null : $branch->backMm(...);
    }

    /**
     * @param  (Closure(float): float)|null  $back
     * @return list<float>
     */
    private static function list(?Closure $back): array
    {
        return $back === null ? [] : array_map(
            static fn (int $deg): float => round($back(deg2rad($deg)), 2),
            range(0, 180, self::STEP_DEG),
        );
    }
}
