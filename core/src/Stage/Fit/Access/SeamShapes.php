<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Merge\LinePoint;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Merge\Branch;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;

/**
 * Where the seams of a job lie in space, and which way a torch stands off them. Round seams count their angles as the
 * dial does: from the index mark, clockwise looking with the flow; others are rows of places along the seam.
 */
final readonly class SeamShapes
{
    /** A fillet is welded midway between its two sides. */
    private const FILLET = M_PI / 4;

    /** Places of a seam with a shape of its own: at so many degrees round its tube. */
    private const EVERY_DEG = 6;

    public function __construct(private Layout $layout, private JointList $joints) {}

    /** Null where no torch comes from outside: a slip, a seam in the bore. */
    public function of(Joint $joint): ?SeamShape
    {
        $routed = $this->layout->run($joint->run);
        if ($routed === null) {
            return $this->ofCollector($joint);
        }
        $frame = $routed->line->frameAt($joint->seam->stationMm);

        return match ($joint->type) {
            JointType::Butt,
            JointType::VBandButt,
            JointType::InletButt => self::round($frame, $joint->seam->odMm / 2, 0.0),
            JointType::PieCut => self::mitred($frame, $routed, $joint),
            JointType::FlangeFillet => $this->flange($routed, $joint),
            JointType::SlipFillet => self::round($frame, $joint->seam->odMm / 2, -self::FILLET),
            JointType::Bung, JointType::Tab, JointType::Crack => $this->onSide($routed, $joint),
            JointType::Saddle => self::saddle(
                $this->layout->placement->branchAt($joint->run, $joint->seam->stationMm <= 0.0),
                $frame,
            ),
            JointType::FlangeSeal, JointType::DonutSeam, JointType::Slip, JointType::Flare,
            JointType::MergeSeam => null,
        };
    }

    private static function round(Frame $at, float $radiusMm, float $lean): SeamShape
    {
        return new SeamShape(new RoundSeam($at->at, $at->forward, $at->reference, $radiusMm, $lean));
    }

    /** The outside of a plate: the run begins, or ends, at its other face. */
    private function flange(RoutedRun $routed, Joint $joint): SeamShape
    {
        $isStart = $joint->seam->stationMm < $routed->line->lengthMm / 2;
        $thickMm = ($isStart ? $routed->spec->start : $routed->spec->end)->wall->mm;
        $frame = $isStart ? $routed->line->start->advanced($thickMm) : $routed->line->end->advanced(-$thickMm);

        return self::round($frame, $joint->seam->odMm / 2, $isStart ? self::FILLET : -self::FILLET);
    }

    /** Round the foot of a bung or a tab; its own angles begin towards the flow. */
    private function onSide(RoutedRun $routed, Joint $joint): ?SeamShape
    {
        foreach ($this->joints->fittings as $placed) {
            if ($placed->jointId === $joint->id) {
                $frame = $routed->line->frameAt($joint->seam->stationMm)->turned($placed->fromThroat->turnDeg);
                $foot = $frame->at->plus($frame->reference->times($routed->tube->odMm / 2));

                return new SeamShape(
                    new RoundSeam($foot, $frame->reference, $frame->forward, $joint->seam->odMm / 2, self::FILLET),
                );
            }
        }

        return null;
    }

    /** Between two wedges: square to the bend, so that it is an ellipse, longer the way the bend turns. */
    private static function mitred(Frame $at, RoutedRun $routed, Joint $joint): SeamShape
    {
        $radiusMm = $joint->seam->odMm / 2;
        $halfRad = 0.0;
        foreach ($routed->run->bends as $bend) {
            $halfRad = max($halfRad, $bend->pieWelds > 0 ? deg2rad($bend->angleDeg) / $bend->pieWelds / 2 : 0.0);
        }
        $side = $at->forward->cross($at->reference);
        $long = 1 / cos($halfRad);

        $degrees = range(0, 360 - self::EVERY_DEG, self::EVERY_DEG);

        return new SeamShape(array_map(static function (int $deg) use ($at, $side, $radiusMm, $long): SeamPlace {
            [$cos, $sin] = [cos(deg2rad($deg)), sin(deg2rad($deg))];

            return SeamPlace::of(
                $at->at->plus($at->reference->times($radiusMm * $long * $cos))->plus($side->times($radiusMm * $sin)),
                $at->reference->times($cos / $long)->plus($side->times($sin))->unit(),
                $side->times($cos)->minus($at->reference->times($long * $sin))->unit(),
            );
        }, $degrees), array_map(floatval(...), $degrees));
    }

    /**
     * Along the outside of a branch on its main: the torch stands midway between the two skins.
     *
     * @param  Frame  $at  of the branch's own run there
     */
    private static function saddle(?Branch $branch, Frame $at): ?SeamShape
    {
        [$axis, $foot, $saddle] = [$branch?->axis(), $branch?->foot, $branch?->saddle];
        if ($axis === null || $foot === null || $saddle === null) {
            return null;
        }
        $points = $outs = $dialDeg = [];
        for ($deg = 0; $deg < 360; $deg += self::EVERY_DEG) {
            $out = $axis->turned($deg)->reference;
            $points[] = $point = $axis->at->plus($out->times($saddle->branch->outsideMm()))
                ->plus($axis->forward->times($saddle->cutMm(deg2rad($deg))));
            $onMain = $point->minus($foot->at)->squareTo($foot->forward);
            $outs[] = $out->plus($onMain->length() > 0.0 ? $onMain->unit() : $out);
            $dialDeg[] = $at->turnDegTo($out);
        }
        $places = self::along($points, $outs, true);

        return $places === null || count($places) < count($dialDeg) ? null : new SeamShape($places, $dialDeg);
    }

    private function ofCollector(Joint $joint): ?SeamShape
    {
        foreach ($this->layout->placement->collectors->all as $one) {
            if ($one->build->letter === $joint->run) {
                return match ($joint->type) {
                    JointType::MergeSeam => $this->merge($one, $joint),
                    JointType::VBandButt => self::round($one->outlet(), $joint->seam->odMm / 2, 0.0),
                    JointType::FlangeFillet => self::round(
                        $one->outlet()->advanced(-($one->build->part->wall->mm ?? 0.0)),
                        $joint->seam->odMm / 2,
                        -self::FILLET,
                    ),
                    default => null,
                };
            }
        }

        return null;
    }

    /** In the valley between two tubes of a collector, from the crotch to the outlet. */
    private function merge(BuiltCollector $collector, Joint $joint): ?SeamShape
    {
        $ids = array_map(static fn (Joint $one): string => $one->id, $this->joints->ofRun($joint->run));
        $number = array_search($joint->id, $ids, true);
        $seam = is_int($number) ? $collector->seams()[$number] ?? null : null;
        $shape = $collector->shape?->finished;
        if ($seam === null || $shape === null) {
            return null;
        }
        $points = $outs = [];
        $cut = array_filter(
            $shape->line($seam->first, self::EVERY_DEG)->points,
            static fn (LinePoint $one): bool => $one->by === $seam->second,
        );
        foreach ($cut as $one) {
            $out = $one->at->minus($shape->at($seam->first, $one->psi, $one->sMm, 1.0));
            // The other tube is its mirror image in the plane of the seam, which holds the axis.
            $across = (new Vector(-$one->at->y, $one->at->x, 0.0));
            $across = $across->length() > 1e-6 ? $across->unit() : $across;
            $own = $out->minus($across->times($out->dot($across)));
            if ($own->length() > 1e-6) {
                $points[] = $collector->inSpace($one->at);
                $outs[] = $collector->inSpace($own)->minus($collector->inSpace(new Vector(0.0, 0.0, 0.0)));
            }
        }

        $places = self::along($points, $outs, false);

        return $places === null ? null : new SeamShape($places);
    }

    /**
     * @param  list<Vector>  $points
     * @param  list<Vector>  $outs  which way a torch stands off it there, of any length
     * @return non-empty-list<SeamPlace>|null
     */
    private static function along(array $points, array $outs, bool $isClosed): ?array
    {
        $places = [];
        $last = count($points) - 1;
        foreach ($points as $i => $at) {
            $before = $points[$i === 0 ? ($isClosed ? $last : 0) : $i - 1];
            $after = $points[$i === $last ? ($isClosed ? 0 : $last) : $i + 1];
            $tangent = $after->minus($before);
            if ($tangent->length() > 1e-6) {
                $normal = $outs[$i]->squareTo($tangent->unit());
                if ($normal->length() > 1e-6) {
                    $places[] = SeamPlace::of($at, $normal->unit(), $tangent->unit());
                }
            }
        }

        return $places === [] ? null : $places;
    }
}
