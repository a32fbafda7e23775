<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Internal;

use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\EndKind;
use UpsweptBead\Core\Job\Fitting;
use UpsweptBead\Core\Job\FittingKind;
use UpsweptBead\Core\Job\RunEnd;
use UpsweptBead\Core\Job\RunSpec;
use UpsweptBead\Core\Plan\Notice;
use UpsweptBead\Core\Plan\PlacedFitting;
use UpsweptBead\Core\Run\Clocking;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\Joint;
use UpsweptBead\Core\Weld\JointType;

/** Names every seam of a run: its two ends, the butts between pieces, the fittings on its side. */
final readonly class RunJoints
{
    /** Outside diameter of a bung for an M18 × 1.5 sensor and of its hole (mm), common practice. */
    private const BUNG_OD_MM = 28.0;

    private const BUNG_HOLE_MM = 18.0;

    /** No joint closer to a bung than this many walls beside its edge. */
    private const CLEAR_WALLS = 5.0;

    /** @param  list<Piece>  $pieces */
    public function __construct(private RunSpec $spec, private TubeRun $run, private TubeSize $tube, private string $metal, private UnitSystem $units, private array $pieces) {}

    /** @return list<Joint> in the order of flow, fittings last */
    public function joints(): array
    {
        if ($this->pieces === []) {
            return [];
        }
        $marks = array_map(static fn (Piece $piece): string => $piece->mark, $this->pieces);
        $joints = $this->atEnd($this->spec->start, $this->spec->start->name, $marks[0], 0.0, 0);
        for ($i = 1; $i < count($marks); $i++) {
            $joints[] = $this->joint(count($joints) + 1, JointType::Butt, $marks[$i - 1], $marks[$i], $this->pieces[$i]->span->fromMm, $this->metal, $this->tube->wallMm);
        }
        array_push($joints, ...$this->atEnd($this->spec->end, $marks[count($marks) - 1], $this->spec->end->name, $this->run->lengthMm(), count($joints)));
        foreach ($this->spec->fittings as $i => $fitting) {
            $piece = $this->pieceAt($fitting->station->mm);
            $joints[] = new Joint(
                $this->bungId($i), JointType::Bung, $piece->mark, $fitting->kind->label(), $fitting->station->mm, M_PI * self::BUNG_OD_MM,
                $this->metal, '304L', $this->tube->wallMm, (self::BUNG_OD_MM - self::BUNG_HOLE_MM) / 2, self::BUNG_OD_MM,
            );
        }

        return $joints;
    }

    /**
     * @param  list<Notice>  $notices  gets what is wrong with a place
     * @return list<PlacedFitting>
     */
    public function placed(ShopRules $rules, string $path, array &$notices): array
    {
        $placed = [];
        foreach ($this->pieces === [] ? [] : $this->spec->fittings as $i => $fitting) {
            $piece = $this->pieceAt($fitting->station->mm);
            array_push($notices, ...$this->complaints($fitting, $rules, "$path.fittings[$i]"));
            $frame = $this->run->frameAt($fitting->station->mm);
            $placed[] = new PlacedFitting(
                $fitting,
                $this->bungId($i),
                $piece->mark,
                $fitting->station->mm - $piece->span->fromMm,
                Clocking::of(self::signed($frame->turnDegTo(self::top($frame)) + $fitting->fromTopDeg), $this->tube->odMm),
            );
        }

        return $placed;
    }

    /** @return list<Notice> */
    private function complaints(Fitting $fitting, ShopRules $rules, string $path): array
    {
        $notices = [];
        $station = $fitting->station->mm;
        $clear = self::BUNG_OD_MM / 2 + self::CLEAR_WALLS * $this->tube->wallMm;
        foreach ([0.0, ...array_map(static fn (Piece $piece): float => $piece->span->toMm, $this->pieces)] as $joint) {
            if (abs($station - $joint) < $clear) {
                $notices[] = Notice::problem("$path.station", sprintf('The bung sits %s from a joint; it needs %s.', Quantity::Length->show(abs($station - $joint), $this->units), Quantity::Length->show($clear, $this->units)));
            }
        }
        if ($station > $this->run->lengthMm()) {
            $notices[] = Notice::problem("$path.station", sprintf('The bung lies %s beyond the end of the run.', Quantity::Length->show($station - $this->run->lengthMm(), $this->units)));
        }
        $frame = $this->run->frameAt($station);
        if (abs($frame->forward->z) > 0.98) {
            $notices[] = Notice::caution("$path.fromTop", 'The tube stands nearly upright here, so no side of it is the top.');
        }
        if ($fitting->kind === FittingKind::TemperatureProbe) {
            [$least, $most] = [$rules->value('egt.least'), $rules->value('egt.most')];

            return $station < $least || $station > $most
                ? [...$notices, Notice::caution("$path.station", sprintf('A temperature probe sits %s to %s from its port, where every cylinder is measured alike; this one %s.', Quantity::Length->show($least, $this->units), Quantity::Length->show($most, $this->units), Quantity::Length->show($station, $this->units)))]
                : $notices;
        }
        $off = abs(self::signed($fitting->fromTopDeg));
        if ($off > $rules->value('bung.most_off_top')) {
            $notices[] = Notice::problem("$path.fromTop", 'A sensor in the lower half fills with condensate; keep it between 9 and 3 o’clock over the top.');
        } elseif ($off > $rules->value('bung.best_off_top')) {
            $notices[] = Notice::caution("$path.fromTop", 'A sensor sits best between 10 and 2 o’clock.');
        }

        return $notices;
    }

    /** @return list<Joint> none for an open end, two for a flange: seal inside, fillet outside */
    private function atEnd(RunEnd $end, string $between, string $and, float $stationMm, int $before): array
    {
        $types = match ($end->kind) {
            EndKind::VBand => [JointType::VBandButt],
            EndKind::Flange => [JointType::FlangeSeal, JointType::FlangeFillet],
            EndKind::Open => [],
        };

        $joints = [];
        foreach ($types as $type) {
            $joints[] = $this->joint($before + count($joints) + 1, $type, $between, $and, $stationMm, $end->metal, $end->wall->mm);
        }

        return $joints;
    }

    private function joint(int $number, JointType $type, string $between, string $and, float $stationMm, string $otherMetal, float $otherWallMm): Joint
    {
        $od = $type === JointType::FlangeSeal ? $this->tube->idMm() : $this->tube->odMm;

        return new Joint("{$this->spec->letter}J$number", $type, $between, $and, $stationMm, M_PI * $od, $this->metal, $otherMetal, $this->tube->wallMm, $otherWallMm, $this->tube->odMm);
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

    private function bungId(int $i): string
    {
        return $this->spec->letter.'B'.($i + 1);
    }

    private static function top(Frame $frame): Vector
    {
        return Frame::facing($frame->at, $frame->forward)->reference;
    }

    private static function signed(float $deg): float
    {
        return $deg - 360 * round($deg / 360);
    }
}
