<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Json;

use UpsweptBead\Core\Branching\Branch;
use UpsweptBead\Core\Branching\BuiltCollector;
use UpsweptBead\Core\Branching\CollectorShape;
use UpsweptBead\Core\Branching\FlangePlan;
use UpsweptBead\Core\Branching\MergeSeam;
use UpsweptBead\Core\Branching\Placement;
use UpsweptBead\Core\Branching\TubeSkin;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Merge\Collector\PlaneCut;
use UpsweptBead\Core\Merge\Flange\Path;
use UpsweptBead\Core\Plan\BranchTemplates;
use UpsweptBead\Core\Plan\Sketch;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Stock\BendStock;
use UpsweptBead\Core\Units\Quantity;

/** Writes the collectors and branches of a plan: as they are drawn, how they are made, in which order they are welded. */
final readonly class MergeWriter
{
    /** Heights of a cut in a bend are told at every so many degrees round it. */
    private const HEIGHTS_DEG = 30;

    /** A saddle is drawn with a point at every so many degrees. */
    private const SADDLE_DEG = 10;

    private RouteWriter $routes;

    private PartsWriter $parts;

    public function __construct(private FigureWriter $figures, ShopRules $rules)
    {
        $this->routes = new RouteWriter($figures);
        $this->parts = new PartsWriter($figures, $rules);
    }

    /** @return array<string, mixed> */
    public function toArray(Sketch $sketch): array
    {
        $placement = $sketch->layout->placement;

        return [
            'collectors' => array_map(fn (BuiltCollector $one): array => [
                ...$this->shape($one),
                ...$this->make($one),
                'pieces' => array_map($this->parts->piece(...), $sketch->cut->piecesOf($one->build->letter)),
                'joints' => array_map(
                    fn (Joint $joint): array => $this->parts->joint($joint, null),
                    $sketch->joints->ofRun($one->build->letter),
                ),
                'mass' => $this->figures->plain(Quantity::Mass, $sketch->cut->massKg($one->build->letter)),
            ], $placement->collectors->all),
            'branches' => array_map(fn (Branch $one): array => [
                ...$this->branch($one),
                'templates' => BranchTemplates::ids($sketch, $one),
            ], $placement->branches),
            'flanges' => array_map(
                fn (FlangePlan $one): array => $this->flange($one, $sketch->job),
                $placement->flanges,
            ),
        ];
    }

    /** @return array<string, mixed> only what is drawn, for while something is dragged */
    public function shapes(Placement $placement): array
    {
        return [
            'collectors' => array_map($this->shape(...), $placement->collectors->all),
            'branches' => array_map($this->branch(...), $placement->branches),
        ];
    }

    /** @return array<string, mixed> */
    private function shape(BuiltCollector $one): array
    {
        $skin = $one->shape === null ? null : TubeSkin::of($one->shape, $one->tube()->wallMm);

        return [
            'letter' => $one->build->letter,
            'name' => $one->spec->name,
            'runs' => $one->spec->runs,
            'inlets' => $one->build->inlets,
            'tube' => $this->parts->tube($one->tube()),
            'frame' => $this->routes->frame($one->build->frame()),
            'mouths' => array_map(
                fn (int $i): array => $this->routes->frame($one->inlet($i)),
                range(0, $one->build->inlets - 1),
            ),
            'outlet' => $this->routes->frame($one->outlet()),
            'outletOd' => $one->sizes->outlet->odMm,
            'skin' => $skin === null ? null : [
                'outside' => self::lines($skin->outside),
                'inside' => self::lines($skin->inside),
            ],
            'lack' => $one->lack,
        ];
    }

    /** @return array<string, mixed> */
    private function make(BuiltCollector $one): array
    {
        $ratio = $one->areaRatio();
        $shape = $one->shape;

        return [
            'path' => $one->path,
            'make' => $one->build->make->value,
            'makeLabel' => $one->build->make->label(),
            'bend' => $one->isBent() ? $one->sizes->bend?->id : null,
            'bends' => array_map(fn (BendStock $bend): array => [
                'id' => $bend->id,
                'name' => sprintf(
                    '%s, radius %s',
                    $this->figures->plain(Quantity::Angle, $bend->angleDeg)['text'],
                    $this->figures->length($bend->clrMm)['text'],
                ),
            ], $one->sizes->bends),
            'outletTube' => $this->parts->tube($one->sizes->outlet),
            'figures' => (object) $this->figures->each(array_combine(
                array_map(static fn ($figure): string => self::last($figure->key), $one->sizes->figures()),
                $one->sizes->figures(),
            )),
            'length' => $this->figures->length($one->lengthMm()),
            'straightBehind' => $this->figures->length($one->sizes->straightBehindMm()),
            'area' => [
                'ratio' => round($ratio, 2),
                'least' => $one->sizes->areas()[0],
                'most' => $one->sizes->areas()[1],
            ],
            'outlets' => $shape === null ? null : [
                'narrowest' => $this->figures->length($shape->narrowestMm),
                'widest' => $this->figures->length($shape->widestMm),
            ],
            'shim' => $one->isBent() ? $this->figures->length($one->shimMm()) : null,
            'expanded' => $this->figures->length($one->sizes->mouthOdMm - 2 * $one->tube()->wallMm),
            'volume' => $this->figures->plain(Quantity::Volume, $one->volumeL()),
            'seams' => array_map(fn (MergeSeam $seam): array => [
                'between' => $one->mark($seam->first),
                'and' => $one->mark($seam->second),
                'length' => $this->figures->length($seam->lengthMm),
                'why' => $seam->why,
            ], $one->seams()),
            'quarters' => array_map($this->planeCut(...), $shape->quarters->cuts ?? []),
            'heights' => $shape !== null && $one->isBent() ? $this->heights($shape) : [],
        ];
    }

    /** @return array<string, mixed> */
    private function planeCut(PlaneCut $cut): array
    {
        return [
            'psi' => $this->figures->plain(Quantity::Angle, rad2deg($cut->psi)),
            'start' => $this->figures->length($cut->startMm),
            'angle' => $this->figures->plain(Quantity::Angle, rad2deg($cut->angle)),
        ];
    }

    /** @return list<array<string, mixed>> above the plate that the mouth stands on */
    private function heights(CollectorShape $shape): array
    {
        return array_map(function (int $deg) use ($shape): array {
            $row = $shape->cut->row(0, deg2rad($deg));

            return ['psi' => $deg, 'height' => $this->figures->length($row['height'] ?? 0.0)];
        }, range(0, 180, self::HEIGHTS_DEG));
    }

    /** @return array<string, mixed> */
    private function flange(FlangePlan $one, Job $job): array
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

    private function hole(Path $hole): string
    {
        $disc = $hole->asDisc();

        return $disc === null ? 'shaped' : $this->figures->length(2 * $disc->radiusMm)['text'];
    }

    /** @return array<string, mixed> */
    private function branch(Branch $one): array
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
            range(0, 360 - self::SADDLE_DEG, self::SADDLE_DEG),
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

    /**
     * @param  list<list<Vector>>  $lines
     * @return list<list<list<float>>>
     */
    private static function lines(array $lines): array
    {
        return array_map(static fn (array $line): array => array_map(self::point(...), $line), $lines);
    }

    /** @return list<float> */
    private static function point(Vector $at): array
    {
        return array_map(static fn (float $mm): float => round($mm, 2), $at->toArray());
    }

    private static function last(string $key): string
    {
        $parts = explode('.', $key);

        return $parts[count($parts) - 1];
    }
}
