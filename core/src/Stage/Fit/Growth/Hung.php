<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Growth;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\HangerSpec;
use UpsweptBead\Core\Job\Part\PartKind;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\FittingKind;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * A part that hangs on its tubes alone: how far they let it down when they are hot, and what a bracket under it
 * carries.
 *
 * By Castigliano's theorem over the curved centreline of a thin tube: the integral of (B² + (1 + ν)·T²)/(E·I), with the
 * bending B and the torsion T of a unit load [Timoshenko, Strength of Materials, from memory]. Tubes that share a part
 * are springs side by side; that they also hold it from turning is left out, so that it sags no more than this.
 */
final readonly class Hung
{
    /** Of austenitic steel cold, GPa, and what it loses with every kelvin; from memory, about 150 GPa at 650 °C. */
    private const MODULUS_GPA = 193.0;

    private const LOSS_GPA_K = 0.068;

    private const COLD_C = 20.0;

    private const POISSON = 0.3;

    private const ELEMENTS = 120;

    /**
     * @param  float  $sagMm  at most
     * @param  float  $loadN  its weight
     * @param  float  $bumpN  the same with what the road adds
     * @param  float  $armMm  how far out, level, it hangs from where its tubes begin
     */
    private function __construct(
        public PartSpec $part,
        public float $sagMm,
        public float $loadN,
        public float $bumpN,
        public float $armMm,
    ) {}

    /** What it bends the flanges by that its tubes begin at, N·m. */
    public function momentNm(): float
    {
        return $this->loadN * $this->armMm / 1000;
    }

    /** @return list<self> parts of known mass that no hanger helps to carry */
    public static function all(Job $job, Layout $layout, float $temperatureC, ShopRules $rules): array
    {
        $all = [];
        foreach ($job->set->parts as $part) {
            $letters = $job->collectorOf($part->inlet)->runs ?? [$part->inlet];
            $runs = array_values(array_filter(array_map($layout->run(...), $letters)));
            // What a turbine blows into hangs on it, and carries nothing of it.
            $goesOn = $part->outlet !== '' && $part->kind !== PartKind::Turbine;
            $isHeld = $runs === [] || $part->massKg <= 0.0 || $goesOn
                || array_filter($runs, static fn (RoutedRun $one): bool => self::isHeld($one, $job)) !== [];
            if ($isHeld) {
                continue;
            }
            $stiffness = array_sum(array_map(
                static fn (RoutedRun $one): float => 1 / max(1e-12, self::mmPerN($one, $temperatureC)),
                $runs,
            ));
            $loadN = $part->massKg * Weight::G;
            $all[] = new self(
                $part,
                $loadN / $stiffness,
                $loadN,
                $loadN * $rules->value('growth.bump'),
                self::armMm($runs),
            );
        }

        return $all;
    }

    /** How far the end of a run, held at its start, goes down under a load there, mm/N. */
    public static function mmPerN(RoutedRun $routed, float $temperatureC): float
    {
        $modulusMpa = 1000 * (self::MODULUS_GPA - self::LOSS_GPA_K * ($temperatureC - self::COLD_C));
        [$outerMm, $innerMm] = [$routed->tube->odMm, $routed->tube->idMm()];
        $inertiaMm4 = M_PI / 64 * ($outerMm ** 4 - $innerMm ** 4);
        $stepMm = $routed->line->lengthMm / self::ELEMENTS;
        [$end, $down] = [$routed->line->end->at, new Vector(0, 0, -1)];
        $sum = 0.0;
        for ($i = 0; $i < self::ELEMENTS; $i++) {
            $frame = $routed->line->frameAt(($i + 0.5) * $stepMm);
            $moment = $end->minus($frame->at)->cross($down);
            $torsion = $moment->dot($frame->forward);
            $bendingSquare = $moment->dot($moment) - $torsion ** 2;
            $sum += ($bendingSquare + (1 + self::POISSON) * $torsion ** 2) * $stepMm;
        }

        return $sum / ($modulusMpa * $inertiaMm4);
    }

    /** @param  list<RoutedRun>  $runs */
    private static function armMm(array $runs): float
    {
        $out = new Vector(0.0, 0.0, 0.0);
        foreach ($runs as $one) {
            $out = $out->plus($one->line->end->at->minus($one->line->start->at)->times(1 / count($runs)));
        }

        return hypot($out->x, $out->y);
    }

    /** Whether anything but its start carries a run. */
    private static function isHeld(RoutedRun $routed, Job $job): bool
    {
        if (in_array($routed->spec->start->kind, [EndKind::Open, EndKind::Saddle, EndKind::Slip], true)) {
            return true;
        }
        foreach ($routed->spec->fittings as $fitting) {
            if ($fitting->kind === FittingKind::Hanger) {
                return true;
            }
        }

        return array_filter(
            $job->set->hangers,
            static fn (HangerSpec $one): bool => $one->run === $routed->spec->letter,
        ) !== [];
    }
}
