<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Exchange\Drawing\SkinBack;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Merge\Collector\PlaneCut;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Merge\Branch;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\CollectorShape;
use UpsweptBead\Core\Stage\Merge\CollectorSkin;
use UpsweptBead\Core\Stage\Merge\FlangePlan;
use UpsweptBead\Core\Stage\Merge\MergeSeam;
use UpsweptBead\Core\Stage\Merge\OutletArea;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Merge\Slant;
use UpsweptBead\Core\Stage\Plan\EndTemplates;
use UpsweptBead\Core\Stage\Plan\Sketch;

/**
 * Writes what merges in a plan: collectors as they are drawn, made and welded, and the ends of runs that are not
 * square.
 */
final readonly class MergeWriter
{
    /** Heights of a cut in a bend are told at every so many degrees round it. */
    private const HEIGHTS_DEG = 30;

    private RouteWriter $routes;

    private PartsWriter $parts;

    private ShapedEndWriter $ends;

    public function __construct(private FigureWriter $figures, Rates $rates)
    {
        $this->routes = new RouteWriter($figures);
        $this->parts = new PartsWriter($figures, $rates);
        $this->ends = new ShapedEndWriter($figures);
    }

    /** @return array<string, mixed> */
    public function toArray(Sketch $sketch): array
    {
        $placement = $sketch->layout->placement;
        $tape = $sketch->cut->onTape($this->figures->units);

        return [
            'collectors' => array_map(fn (BuiltCollector $one): array => [
                ...$this->shape($one),
                ...$this->make($one),
                'pieces' => array_map(
                    fn (Piece $piece): array => $this->parts->piece($piece, $tape, SkinBack::of($sketch, $piece)),
                    $sketch->cut->piecesOf($one->build->letter),
                ),
                'joints' => array_map(
                    fn (Joint $joint): array => $this->parts->joint($joint, null),
                    $sketch->joints->ofRun($one->build->letter),
                ),
                'mass' => $this->figures->plain(Quantity::Mass, $sketch->cut->massKg($one->build->letter)),
            ], $placement->collectors->all),
            'branches' => array_map(fn (Branch $one): array => [
                ...$this->ends->branch($one),
                'templates' => EndTemplates::ids($sketch, $one),
            ], $placement->branches),
            'slants' => array_map(fn (Slant $one): array => [
                ...$this->ends->slant($one),
                'template' => EndTemplates::ofSlant($sketch, $one),
            ], $placement->slants),
            'flanges' => array_map(
                fn (FlangePlan $one): array => $this->ends->flange($one, $sketch->job),
                $placement->flanges,
            ),
        ];
    }

    /** @return array<string, mixed> only what is drawn, for while something is dragged */
    public function shapes(Placement $placement): array
    {
        return [
            'collectors' => array_map($this->shape(...), $placement->collectors->all),
            'branches' => array_map($this->ends->branch(...), $placement->branches),
            'slants' => array_map($this->ends->slant(...), $placement->slants),
        ];
    }

    /** @return array<string, mixed> */
    private function shape(BuiltCollector $one): array
    {
        $skin = $one->shape === null ? null : CollectorSkin::of($one->shape, $one->tube()->wallMm);

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
                'inlets' => round($one->build->inlets / max(1e-6, $ratio), 2),
                'least' => $one->sizes->areas()[0],
                'most' => $one->sizes->areas()[1],
                'says' => OutletArea::of($ratio, ...$one->sizes->areas())->label(),
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
            'plate' => $shape?->plate === null ? null : [
                'across' => $this->figures->length($shape->plate->acrossMm()),
                'edge' => $this->figures->length($shape->plate->edgeMm),
                'points' => $one->build->inlets,
            ],
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
