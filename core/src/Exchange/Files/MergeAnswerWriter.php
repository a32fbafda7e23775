<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Solve\Merge\BendMarks;
use UpsweptBead\Core\Solve\Merge\Collector\MergeCollector;
use UpsweptBead\Core\Solve\Merge\Collector\MergeSeam;
use UpsweptBead\Core\Solve\Merge\Collector\PlaneCut;
use UpsweptBead\Core\Solve\Merge\Collector\Quarters;
use UpsweptBead\Core\Solve\Merge\Mitre;
use UpsweptBead\Core\Solve\Merge\PieCut;
use UpsweptBead\Core\Solve\Merge\Saddle;
use UpsweptBead\Core\Solve\Merge\SideLengths;
use UpsweptBead\Core\Solve\Merge\Slip;

/** Writes answers to the open merge problem format. */
final readonly class MergeAnswerWriter
{
    public const FORMAT = 'merge-solution/1';

    /** @return array<string, mixed> */
    public static function toArray(MergeProblem $problem): array
    {
        return [
            'format' => self::FORMAT,
            'case' => $problem->name,
            'status' => 'solved',
            ...match (true) {
                $problem->joint instanceof MergeCollector => self::collector($problem->joint, $problem->psiDeg),
                $problem->joint instanceof Quarters => self::quarters($problem->joint, $problem->psiDeg),
                $problem->joint instanceof Saddle => self::saddle($problem->joint, $problem->psiDeg),
                $problem->joint instanceof Mitre => self::mitre($problem->joint, $problem->psiDeg),
                $problem->joint instanceof PieCut => self::pieCut($problem->joint),
                $problem->joint instanceof BendMarks => self::marks($problem->joint),
                $problem->joint instanceof Slip => self::slip($problem->joint),
            },
        ];
    }

    /**
     * @param  list<Refusal>  $reasons
     * @return array<string, mixed>
     */
    public static function refused(string $case, array $reasons): array
    {
        return [
            'format' => self::FORMAT,
            'case' => $case,
            'status' => 'refused',
            'reasons' => array_map(static fn (Refusal $one): array => $one->toArray(), $reasons),
        ];
    }

    /**
     * @param  list<float>  $psiDeg
     * @return array<string, mixed>
     */
    private static function collector(MergeCollector $collector, array $psiDeg): array
    {
        $tubes = $lines = [];
        $ids = $collector->ids();
        foreach ($ids as $i => $id) {
            $lines[] = $collector->line($i);
            $tubes[] = [
                'id' => $id,
                'table' => self::table($psiDeg, static fn (float $psi): array => $collector->row($i, $psi)),
            ];
        }

        return [
            'tubes' => $tubes,
            'seams' => array_map(static fn (MergeSeam $one): array => [
                'between' => [$one->first, $one->second],
                'length' => self::rounded($one->lengthMm),
            ], MergeSeam::of($ids, $lines)),
            'outlet' => [
                'plane' => self::rounded($collector->planeMm()),
                'diameter' => self::rounded($collector->diameterMm()),
            ],
            'outlet_edge' => self::rounded(MergeSeam::outletEdgeMm($lines)),
        ];
    }

    /**
     * @param  list<float>  $psiDeg
     * @return array<string, mixed>
     */
    private static function quarters(Quarters $quarters, array $psiDeg): array
    {
        return [
            ...self::collector($quarters->collector, $psiDeg),
            'cuts' => array_map(static fn (PlaneCut $one): array => [
                'psi' => self::rounded(rad2deg($one->psi)),
                'start' => self::rounded($one->startMm),
                'angle' => self::rounded(rad2deg($one->angle)),
            ], $quarters->cuts),
        ];
    }

    /**
     * @param  list<float>  $psiDeg
     * @return array<string, mixed>
     */
    private static function saddle(Saddle $saddle, array $psiDeg): array
    {
        return [
            'tubes' => [[
                'id' => 'branch',
                'table' => self::table($psiDeg, static fn (float $psi): array => ['s' => $saddle->cutMm($psi)]),
            ]],
            'hole' => self::table($psiDeg, static function (float $psi) use ($saddle): array {
                [$phi, $zMm] = $saddle->holeAt($psi);

                return ['phi' => rad2deg($phi), 'z' => $zMm];
            }),
            'seams' => [['between' => ['branch', 'main'], 'length' => self::rounded($saddle->seamMm())]],
            'hole_edge' => self::rounded($saddle->holeEdgeMm()),
        ];
    }

    /**
     * @param  list<float>  $psiDeg
     * @return array<string, mixed>
     */
    private static function mitre(Mitre $mitre, array $psiDeg): array
    {
        return [
            'tubes' => [['id' => 'tube', 'table' => self::table($psiDeg, static fn (float $psi): array => [
                's' => $mitre->cutMm($psi, $mitre->tube->outsideMm()),
                's_inside' => $mitre->cutMm($psi, $mitre->tube->boreMm()),
            ])]],
            'longest' => self::rounded($mitre->longestMm()),
            'shortest' => self::rounded($mitre->shortestMm()),
            'edge' => self::rounded($mitre->edgeMm()),
        ];
    }

    /** @return array<string, mixed> */
    private static function pieCut(PieCut $cut): array
    {
        $lengths = static fn (SideLengths $one): array => [
            'outside' => self::rounded($one->outerMm),
            'inside' => self::rounded($one->innerMm),
            'centre' => self::rounded($one->centreMm),
        ];

        return [
            'mitre' => self::rounded(rad2deg($cut->mitre)),
            'wedges' => $cut->welds - 1,
            'wedge' => $lengths($cut->wedge()),
            'end' => $lengths($cut->end()),
            'seam' => self::rounded($cut->seamMm()),
            'stick' => self::rounded($cut->stickMm()),
        ];
    }

    /** @return array<string, mixed> */
    private static function marks(BendMarks $marks): array
    {
        $mark = static function (float $angle) use ($marks): array {
            $along = $marks->mark($angle);

            return [
                'outer' => self::rounded($along->outerMm),
                'centre' => self::rounded($along->centreMm),
                'inner' => self::rounded($along->innerMm),
            ];
        };

        return [
            'pieces' => array_map(static fn (array $piece): array => [
                'angle' => self::rounded(rad2deg($piece[1] - $piece[0])),
                'from' => $mark($piece[0]),
                'to' => $mark($piece[1]),
            ], $marks->pieces),
            'remainder' => self::rounded(rad2deg($marks->remainder)),
        ];
    }

    /** @return array<string, mixed> */
    private static function slip(Slip $slip): array
    {
        return [
            'inner' => 'upstream',
            'bore' => self::rounded($slip->boreMm),
            'expand' => self::rounded($slip->expandMm),
            'expand_pct' => self::rounded($slip->expandPct),
            'leg' => self::rounded($slip->legMm),
        ];
    }

    /**
     * @param  list<float>  $psiDeg
     * @param  callable(float): array<string, float>  $row  by psi in radians
     * @return list<array<string, float>>
     */
    private static function table(array $psiDeg, callable $row): array
    {
        return array_map(
            static fn (float $deg): array => ['psi' => $deg] + array_map(self::rounded(...), $row(deg2rad($deg))),
            $psiDeg,
        );
    }

    private static function rounded(float $value): float
    {
        return round($value, 6) + 0.0;
    }
}
