<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\CollectorBuild;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Collector\InletPose;
use UpsweptBead\Core\Job\Collector\SaddleSpec;
use UpsweptBead\Core\Job\Collector\SlantSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\HangerSpec;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Run\Bore;
use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Job\Run\Fitting;
use UpsweptBead\Core\Job\Run\FlangeBolts;
use UpsweptBead\Core\Job\Run\LengthSpec;
use UpsweptBead\Core\Job\Run\PlateSpec;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\SetSpec;
use UpsweptBead\Core\Solve\Merge\Flange\Path;

/**
 * The other bank of an engine: every run of the job mirrored in an upright plane that runs fore and aft, with all that
 * is on it: routes and joints, sensors, bolts, port shapes, drawn flanges, saddles, slants, collectors, parts and
 * hangers. A turn one way becomes the same turn the other way. What stands round the engine was measured on one side
 * only, and stays.
 */
final readonly class OtherBank
{
    public const MOST_RUNS = 16;

    /** A direction this near to upright has no "up" of its own to count turns from. */
    private const UPRIGHT = 1e-6;

    /** @param  array<string, string>  $twin  of every letter of a run, or of a collector that is made */
    private function __construct(private array $twin, private Length $plane) {}

    /**
     * @param  Length  $plane  how far right of the datum the plane stands
     *
     * @throws \DomainException if the job would have too many runs
     */
    public static function of(Job $job, Length $plane): Job
    {
        if (2 * count($job->runs) > self::MOST_RUNS) {
            throw new \DomainException(sprintf(
                'That would make %d runs; a job has at most %d.',
                2 * count($job->runs),
                self::MOST_RUNS,
            ));
        }
        $letters = array_map(static fn (RunSpec $run): string => $run->letter, $job->runs);
        $builds = array_filter(array_map(
            static fn (CollectorSpec $one): ?string => $one->build?->letter,
            $job->set->collectors,
        ), is_string(...));
        $all = [...$letters, ...$builds];
        $free = array_slice(array_values(array_diff(range('A', 'Z'), $all)), 0, count($all));
        if (count($free) < count($all)) {
            throw new \DomainException('There are not letters enough for the runs and collectors of another bank.');
        }
        $bank = new self(array_combine($all, $free), $plane);

        return $job->with([...$job->runs, ...array_map($bank->run(...), $job->runs)], $bank->set($job->set));

    }

    private static function named(string $name): string
    {
        return $name === '' ? '' : "$name, other bank";
    }

    /**
     * @param  list<string>  $letters
     * @return list<string>
     */
    private function twins(array $letters): array
    {
        $twins = [];
        foreach ($letters as $letter) {
            $twins[] = $this->twin[$letter];
        }

        return $twins;
    }

    private function run(RunSpec $run): RunSpec
    {
        return new RunSpec(
            $this->twin[$run->letter],
            self::named($run->name),
            $run->tubeId,
            $this->end($run->start),
            $this->end($run->end),
            self::route($run->route),
            array_map(static fn (Fitting $one): Fitting => new Fitting(
                $one->kind,
                $one->station,
                -$one->fromTopDeg + 0.0,
                $one->length,
                $one->saidMetal(),
            ), $run->fittings),
            $run->isThere,
        );
    }

    private function end(RunEnd $end): RunEnd
    {
        $isUpright = hypot($end->direction->x, $end->direction->y) < self::UPRIGHT * $end->direction->length();
        // Turns of what points straight up or down count from the right: on the other bank, from the left.
        $up = $end->up ?? ($isUpright ? new Vector(0.0, 1.0, 0.0) : null);

        return new RunEnd(
            $end->kind,
            self::named($end->name),
            $this->place($end->at),
            self::flipped($end->direction),
            $up === null ? null : self::flipped($up),
            $end->metal,
            $end->wall,
            self::bolts($end->bolts),
            self::bore($end->bore),
            $this->saddle($end->saddle),
            self::plate($end->plate),
            $end->slant === null ? null : new SlantSpec($end->slant->angleDeg, -$end->slant->turnDeg + 0.0),
            $end->isFree,
        );
    }

    private static function bolts(?FlangeBolts $bolts): ?FlangeBolts
    {
        return $bolts === null
            ? null
            : new FlangeBolts($bolts->count, $bolts->circle, -$bolts->turnDeg + 0.0, $bolts->flats);
    }

    private static function bore(?Bore $bore): ?Bore
    {
        return $bore === null
            ? null
            : new Bore($bore->shape, $bore->width, $bore->height, $bore->corner, -$bore->turnDeg + 0.0);
    }

    private function saddle(?SaddleSpec $saddle): ?SaddleSpec
    {
        return $saddle === null ? null : new SaddleSpec(
            $this->twin[$saddle->on] ?? $saddle->on,
            $saddle->station,
            -$saddle->fromTopDeg + 0.0,
            $saddle->angleDeg,
            Length::ofMm(-$saddle->offset->mm + 0.0),
            $saddle->seat,
            $saddle->stub,
        );
    }

    /** A flange drawn for one bank, seen from its other face. */
    private static function plate(?PlateSpec $plate): ?PlateSpec
    {
        return $plate === null ? null : new PlateSpec(
            $plate->outline->mirrored(),
            array_map(static fn (Path $one): Path => $one->mirrored(), $plate->openings),
        );
    }

    private static function route(?RouteChoice $route): ?RouteChoice
    {
        return $route === null ? null : new RouteChoice(
            array_map(static fn (RouteRow $row): RouteRow => new RouteRow(
                $row->straight,
                -$row->rotationDeg + 0.0,
                $row->angleDeg,
                $row->clr,
                $row->locked,
                $row->pieWelds,
            ), $route->rows),
            $route->endStraight,
            $route->endLocked,
            // Which bend each piece comes out of is for the other bank to be worked out.
            $route->cuts === null ? null : new CutChoice($route->cuts->joints),
        );
    }

    private function set(SetSpec $set): SetSpec
    {
        return new SetSpec(
            [...$set->collectors, ...array_map($this->collector(...), $set->collectors)],
            $set->keepOuts,
            [...$set->lengths, ...array_map(
                fn (LengthSpec $one): LengthSpec => new LengthSpec(
                    $this->twins($one->runs),
                    $one->target,
                    $one->tolerancePercent,
                ),
                $set->lengths,
            )],
            $set->designs,
            $set->routing,
            $set->outlets,
            [...$set->parts, ...array_map(
                fn (PartSpec $one): PartSpec => $one->on(
                    self::named($one->name),
                    $this->twin[$one->inlet] ?? $one->inlet,
                    $this->twin[$one->outlet] ?? $one->outlet,
                ),
                $set->parts,
            )],
            [...$set->hangers, ...array_map(
                fn (HangerSpec $one): HangerSpec => new HangerSpec(
                    self::named($one->name),
                    $this->twin[$one->run] ?? $one->run,
                    $one->station,
                ),
                $set->hangers,
            )],
            [...$set->polished, ...$this->twins($set->polished)],
            [...$set->stubs, ...$this->twins($set->stubs)],
        );
    }

    private function collector(CollectorSpec $one): CollectorSpec
    {
        $runs = $this->twins($one->runs);
        if ($one->build !== null && $runs !== []) {
            // Its inlets count clockwise: mirrored, all but the first come the other way round.
            $runs = [$runs[0], ...array_reverse(array_slice($runs, 1))];
        }

        return new CollectorSpec(
            self::named($one->name),
            $runs,
            $one->mode,
            $this->twins($one->firing),
            $one->entry,
            $one->build === null ? null : $this->build($one->build),
        );
    }

    private function build(CollectorBuild $build): CollectorBuild
    {
        $poses = array_map(static fn (InletPose $one): InletPose => new InletPose(
            [$one->at[0], Length::ofMm(-$one->at[1]->mm + 0.0), $one->at[2]],
            self::flipped($one->direction),
        ), $build->poses);

        return new CollectorBuild(
            $this->twin[$build->letter],
            $build->make,
            $build->inlets,
            $build->tubeId,
            $this->place($build->at),
            self::flipped($build->axis),
            -$build->turnDeg + 0.0,
            $build->bendId,
            $build->outletTubeId,
            $poses === [] ? [] : [$poses[0], ...array_reverse(array_slice($poses, 1))],
            $build->into === null ? null : $this->twin[$build->into] ?? null,
            $build->part,
        );
    }

    /**
     * @param  array{Length, Length, Length}  $at
     * @return array{Length, Length, Length}
     */
    private function place(array $at): array
    {
        return [$at[0], Length::ofMm(round(2 * $this->plane->mm - $at[1]->mm, 4)), $at[2]];
    }

    private static function flipped(Vector $one): Vector
    {
        return new Vector($one->x, -$one->y + 0.0, $one->z);
    }
}
