<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Run\RunSpec;

/** Makes keep-outs of a job under names that are free, and knows where its ports are. */
final readonly class KeepOutMaker
{
    public function __construct(private Job $job) {}

    /** @param  array{float, float, float}  $sizeMm */
    public function spec(
        KeepOutKind $kind,
        KeepOutShape $shape,
        Vector $at,
        ?Vector $direction = null,
        ?Vector $to = null,
        float $radiusMm = 1.0,
        array $sizeMm = [1.0, 1.0, 1.0],
        string $note = '',
        string $suffix = '',
    ): KeepOutSpec {
        return new KeepOutSpec(
            $this->freeName($kind).$suffix,
            $kind,
            $shape,
            self::lengths($at),
            $direction ?? new Vector(1, 0, 0),
            self::lengths($to ?? $at),
            [Length::ofMm($sizeMm[0]), Length::ofMm($sizeMm[1]), Length::ofMm($sizeMm[2])],
            Length::ofMm($radiusMm),
            null,
            $note,
        );
    }

    private function freeName(KeepOutKind $kind): string
    {
        $taken = array_map(static fn (KeepOutSpec $one): string => $one->name, $this->job->set->keepOuts);
        $name = $kind->label();
        for ($n = 2; in_array($name, $taken, true); $n++) {
            $name = "{$kind->label()} $n";
        }

        return $name;
    }

    /** The middle of the ports. */
    public function ports(): Vector
    {
        return self::middle(
            array_map(static fn (RunSpec $run): Vector => $run->start->frame()->at, $this->job->runs),
        );
    }

    /** Out of the engine, by what the ports say. */
    public function outward(): Vector
    {
        $sum = new Vector(0, 0, 0);
        foreach ($this->job->runs as $run) {
            $sum = $sum->plus($run->start->direction->unit());
        }

        return $sum->length() < 0.1 ? new Vector(0, 1, 0) : $sum->unit();
    }

    /** @param  list<Vector>  $points */
    public static function middle(array $points): Vector
    {
        $sum = new Vector(0, 0, 0);
        foreach ($points as $point) {
            $sum = $sum->plus($point);
        }

        return $sum->times(1 / max(1, count($points)));
    }

    /** @return array{Length, Length, Length} */
    private static function lengths(Vector $at): array
    {
        return [Length::ofMm(round($at->x, 2)), Length::ofMm(round($at->y, 2)), Length::ofMm(round($at->z, 2))];
    }
}
