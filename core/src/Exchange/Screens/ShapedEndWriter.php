<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Solve\Merge\Flange\Path;
use UpsweptBead\Core\Stage\Merge\Branch;
use UpsweptBead\Core\Stage\Merge\FlangePlan;
use UpsweptBead\Core\Stage\Merge\Slant;

/** Writes ends of runs that are more than square: branches, slants, flanges. */
final readonly class ShapedEndWriter
{
    /** A cut is drawn with a point at every so many degrees. */
    private const CUT_DEG = 10;

    private RouteWriter $routes;

    public function __construct(private FigureWriter $figures)
    {
        $this->routes = new RouteWriter($figures);
    }

    /** @return array<string, mixed> */
    public function flange(FlangePlan $one, Job $job): array
    {
        $line = static fn (Path $path): array => array_map(
            static fn (array $at): array => [round($at[0], 2), round($at[1], 2)],
            $path->points(),
        );
        [$left, $lower, $right, $upper] = $one->flange->outline->box();

        return [
            'id' => $one->id,
            'name' => $one->end->name,
            'path' => $one->path,
            'isDrawn' => $one->isDrawn(),
            'isBand' => $one->isBand(),
            'fit' => $this->figures->choice($one->fit),
            'figures' => array_map($this->figures->figure(...), $one->figures),
            'outline' => $line($one->flange->outline),
            'openings' => array_map($line, [$one->flange->opening, ...$one->flange->holes]),
            'tube' => $one->tube->odMm,
            'width' => $this->figures->length($right - $left),
            'height' => $this->figures->length($upper - $lower),
            'thickness' => $this->figures->length($one->flange->thicknessMm),
            'holes' => array_map(fn (Path $hole): string => $this->hole($hole), $one->flange->holes),
            'guidance' => $one->guidance($job),
        ];
    }

    /** @return array<string, mixed> */
    public function branch(Branch $one): array
    {
        return [
            'letter' => $one->letter,
            'isStart' => $one->isStart,
            'on' => $one->spec->on,
            'path' => $one->path,
            'seat' => $one->spec->seat->value,
            'angle' => $this->figures->plain(Quantity::Angle, $one->spec->angleDeg),
            'offset' => $this->figures->length($one->spec->offset->mm),
            'station' => $this->figures->length($one->spec->station->mm),
            'fromTop' => $this->figures->plain(Quantity::Angle, $one->spec->fromTopDeg),
            'reach' => $this->figures->length($one->highMm - $one->lowMm),
            'seam' => $this->figures->length($one->seamMm),
            'lack' => $one->lack,
            'cut' => $this->cut($one),
            'drill' => $this->drill($one),
            'foot' => $one->foot === null ? null : $this->routes->frame($one->foot),
            'hole' => array_map(self::point(...), self::some($one->hole())),
        ];
    }

    /** @return array<string, mixed> */
    public function slant(Slant $one): array
    {
        return [
            'letter' => $one->letter,
            'isStart' => $one->isStart,
            'path' => $one->path,
            'angle' => $this->figures->plain(Quantity::Angle, $one->spec->angleDeg),
            'turn' => $this->figures->plain(Quantity::Angle, $one->spec->turnDeg),
            'reach' => $this->figures->length($one->reachMm()),
            'cut' => array_map(
                static fn (int $deg): float => round($one->backMm(deg2rad($deg)), 2),
                range(0, 360 - self::CUT_DEG, self::CUT_DEG),
            ),
        ];
    }

    private function hole(Path $hole): string
    {
        $disc = $hole->asDisc();

        return $disc === null ? 'shaped' : $this->figures->length(2 * $disc->radiusMm)['text'];
    }

    /** @return array<string, mixed>|null what the hole is as it is drilled, with its radius in mm */
    private function drill(Branch $one): ?array
    {
        $axis = $one->axis();

        return $axis === null || $one->saddle === null ? null : [
            'at' => self::point($axis->at),
            'direction' => $axis->forward->toArray(),
            'radius' => $one->saddle->holeRadiusMm(),
        ];
    }

    /** @return list<float> how far from the end of the run its skin begins, round its own flow from the reference; mm */
    private function cut(Branch $one): array
    {
        $saddle = $one->saddle;
        if ($saddle === null) {
            return [];
        }
        // Looking with the flow of a branch that comes in, its angles turn the other way.
        $way = $one->isStart ? 1 : -1;

        return array_map(
            static fn (int $deg): float => round($saddle->cutMm(deg2rad($way * $deg)) - $one->lowMm, 2),
            range(0, 360 - self::CUT_DEG, self::CUT_DEG),
        );
    }

    /**
     * @param  list<Vector>  $points
     * @return list<Vector>
     */
    private static function some(array $points): array
    {
        return array_values(array_filter($points, static fn (int $i): bool => $i % 10 === 0, ARRAY_FILTER_USE_KEY));
    }

    /** @return list<float> */
    private static function point(Vector $at): array
    {
        return array_map(static fn (float $mm): float => round($mm, 2), $at->toArray());
    }
}
