<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\Fitting;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Solve\Run\Clocking;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Merge\Placement;

/**
 * Names every joint of a run: its two ends, the butts between pieces, its way into a collector, the fittings on its
 * side.
 */
final readonly class RunJoints
{
    /** @param  non-empty-list<Piece>  $pieces */
    public function __construct(
        private RoutedRun $routed,
        private array $pieces,
        private Job $job,
        private Placement $placement,
    ) {}

    /** @return list<Joint> in the order of flow, fittings last */
    public function joints(): array
    {
        $spec = $this->routed->spec;
        [$first, $last] = [$this->pieces[0], $this->pieces[count($this->pieces) - 1]];
        $joints = [];
        $starts = $this->job->collectorInto($spec->letter) === null ? self::typesAt($spec->start) : [JointType::Butt];
        foreach ($starts as $type) {
            $joints[] = $this->atPart($type, self::part($spec->start), $this->tube($first), 0.0, count($joints) + 1);
        }
        array_push($joints, ...$this->wedges($first, count($joints)));
        for ($i = 1; $i < count($this->pieces); $i++) {
            [$before, $after] = [$this->tube($this->pieces[$i - 1]), $this->tube($this->pieces[$i])];
            $joints[] = $this->atPart(
                JointType::Butt,
                $before,
                $after,
                $this->pieces[$i]->span->fromMm,
                count($joints) + 1,
            );
            array_push($joints, ...$this->wedges($this->pieces[$i], count($joints)));
        }
        $types = $spec->end->kind === EndKind::Open ? $this->typesIntoCollector() : self::typesAt($spec->end);
        foreach ($types as $type) {
            $joints[] = $this->atPart(
                $type,
                $this->tube($last),
                self::part($spec->end),
                $this->routed->run->lengthMm(),
                count($joints) + 1,
            );
        }
        foreach ($spec->fittings as $i => $fitting) {
            $joints[] = $this->fitted($this->fittingId($i), $fitting, count($joints) + 1);
        }

        return $joints;
    }

    private function fitted(string $id, Fitting $fitting, int $number): Joint
    {
        $tube = $this->tube($this->pieceAt($fitting->station->mm));
        $kind = $fitting->kind;
        if ($fitting->length !== null) {
            $lengthMm = $fitting->length->mm;
            $seam = new Seam($fitting->station->mm, $lengthMm, $kind->odMm(), IndexMark::forJoint($number));

            $crack = new Side($kind->label(), $tube->metal, $tube->wallMm);

            return new Joint($id, $this->routed->spec->letter, JointType::Crack, $tube, $crack, $seam, $kind);
        }

        return new Joint(
            $id,
            $this->routed->spec->letter,
            $kind->isDrilled() ? JointType::Bung : JointType::Tab,
            $tube,
            new Side($kind->label(), $fitting->metalOn($tube->metal), $kind->wallMm()),
            Seam::round($fitting->station->mm, $kind->odMm(), $kind->odMm(), $number),
            $kind,
        );
    }

    /** @return list<PlacedFitting> */
    public function fittings(): array
    {
        $placed = [];
        foreach ($this->routed->spec->fittings as $i => $fitting) {
            $piece = $this->pieceAt($fitting->station->mm);
            $frame = $this->routed->line->frameAt($fitting->station->mm);
            $top = Frame::facing($frame->at, $frame->forward)->reference;
            $turnDeg = $frame->turnDegTo($top) + $fitting->fromTopDeg;
            $placed[] = new PlacedFitting(
                $fitting,
                $this->routed->spec->letter,
                $this->fittingId($i),
                $piece->mark,
                $fitting->station->mm - $piece->span->fromMm,
                Clocking::of($turnDeg - 360 * round($turnDeg / 360), $this->routed->tube->odMm),
            );
        }

        return $placed;
    }

    /** @return list<JointType> none for an open end, two for a flange: seal inside, fillet outside */
    private static function typesAt(RunEnd $end): array
    {
        return match ($end->kind) {
            EndKind::VBand => [JointType::VBandButt],
            EndKind::Flange => [JointType::FlangeSeal, JointType::FlangeFillet],
            EndKind::Slip => [JointType::Slip],
            EndKind::Flare => [JointType::Flare],
            EndKind::Socket => [JointType::SlipFillet],
            EndKind::Saddle => [JointType::Saddle],
            EndKind::Open => [],
        };
    }

    /** @return list<JointType> */
    private function typesIntoCollector(): array
    {
        return match ($this->job->collectorOf($this->routed->spec->letter)?->entry) {
            CollectorEntry::Welded => [JointType::SlipFillet],
            CollectorEntry::Slip => [JointType::Slip],
            CollectorEntry::Butt => [JointType::InletButt],
            null => [],
        };
    }

    private function atPart(JointType $type, Side $between, Side $and, float $stationMm, int $number): Joint
    {
        $tube = $this->routed->tube;
        $letter = $this->routed->spec->letter;
        $acrossMm = $type === JointType::FlangeSeal ? $tube->idMm() : $tube->odMm;

        $seam = Seam::round($stationMm, $acrossMm, $tube->odMm, $number);
        if ($type === JointType::Saddle) {
            $seamMm = $this->placement->branchAt($letter, $stationMm <= 0.0)->seamMm ?? 0.0;
            $seam = new Seam($stationMm, max($seamMm, $seam->lengthMm), $tube->odMm, $seam->index);
        }

        return new Joint("{$letter}J$number", $letter, $type, $between, $and, $seam);
    }

    /**
     * @param  int  $count  joints of the run before it
     * @return list<Joint> between the wedges of a bend that is made here
     */
    private function wedges(Piece $piece, int $count): array
    {
        $joints = [];
        $letter = $this->routed->spec->letter;
        $welds = $piece->pie->welds ?? 0;
        for ($i = 1; $i <= $welds; $i++) {
            $share = ($i - 0.5) / $welds;
            $bendMm = $piece->span->lengthMm() - $piece->span->legBeforeMm - $piece->span->legAfterMm;
            $number = $count + $i;
            $joints[] = new Joint(
                "{$letter}J$number",
                $letter,
                JointType::PieCut,
                $this->tube($piece, ".$i"),
                $this->tube($piece, '.'.($i + 1)),
                new Seam(
                    $piece->span->fromMm + $piece->span->legBeforeMm + $share * $bendMm,
                    $piece->pie?->seamMm() ?? 0.0,
                    $this->routed->tube->odMm,
                    IndexMark::forJoint($number),
                ),
            );
        }

        return $joints;
    }

    private function tube(Piece $piece, string $wedge = ''): Side
    {
        return new Side($piece->mark.$wedge, $this->job->metal, $this->routed->tube->wallMm);
    }

    private static function part(RunEnd $end): Side
    {
        return new Side($end->name, $end->metal, $end->wall->mm);
    }

    private function pieceAt(float $stationMm): Piece
    {
        foreach ($this->pieces as $piece) {
            if ($stationMm <= $piece->span->toMm) {
                return $piece;
            }
        }

        return $this->pieces[count($this->pieces) - 1];
    }

    private function fittingId(int $i): string
    {
        return $this->routed->spec->letter.'B'.($i + 1);
    }
}
