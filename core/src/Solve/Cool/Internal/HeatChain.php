<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

use UpsweptBead\Core\Solve\Cool\HotTube;
use UpsweptBead\Core\Solve\Cool\Lump;
use UpsweptBead\Core\Solve\Cool\Property;

/**
 * A tube and what stands at its ends as nodes in a row: what each weighs, what it loses heat over, and what lies
 * between it and the next. Millimetres, kilograms, kelvin, watts.
 */
final class HeatChain
{
    /** Number of the first node that is tube. */
    public readonly int $first;

    public readonly int $lastTube;

    /** @var list<float> kg of each node */
    public array $massKg = [];

    /** @var list<float> what a node's loss counts: mm of tube, or mm² of a lump */
    public array $size = [];

    /** @var list<int> which tables a node has: 0 the tube's, then those of `kinds` */
    public array $kind = [];

    /** @var list<array{?Property, ?float}> heat and emissivity of each kind of lump, where they are not the tube's */
    public array $kinds = [];

    /** @var list<float> mm of tube, or of as much wall as that, between the middles of a node and the next */
    public array $apartMm = [];

    /** @var list<float> K/W of the contact between them */
    public array $contactKW = [];

    /** @var list<float> m: its volume over the square of its radius, by which heat runs round it; INF where it is as warm all round */
    public array $turnM = [];

    /** @var array<int, array{float, float, float}> by node: mm of tube to a plate that keeps its temperature, K/W, and °C */
    public array $plates = [];

    /** @var array<int, float> W/K to the plate that warms, by node */
    public array $warm = [];

    public function __construct(HotTube $tube, Grid $grid)
    {
        $roundMm = M_PI * ($tube->odMm - $tube->wallMm);
        $tubeRadiusMm = ($tube->odMm - $tube->wallMm) / 2;
        foreach (array_reverse($tube->sides[0]->end->lumps) as $i => $lump) {
            $this->lump($lump, $tube->densityKgM3);
            if ($i < count($tube->sides[0]->end->lumps) - 1) {
                $this->link(0.0, 1 / ($lump->linkWK ?? INF));
            }
        }
        $this->first = count($this->massKg);
        $before = 0.0;
        foreach ($grid->widthMm as $i => $wide) {
            $side = $tube->sides[$grid->atMm[$i] < 0 ? 0 : 1];
            $share = $side->share(abs($grid->atMm[$i]), $roundMm);
            $radiusMm = $side->spreadsFromMm === null ? $tubeRadiusMm : $side->spreadsFromMm + abs($grid->atMm[$i]);
            $volumeMm3 = $wide * $share * $tube->areaMm2();
            $half = $wide / 2 / $share;
            $this->node($volumeMm3 * 1e-9 * $tube->densityKgM3, $wide * $share, 0, $volumeMm3 / $radiusMm ** 2 / 1000);
            if ($i > 0) {
                $this->link($before + $half, 0.0);
            } elseif ($this->first > 0) {
                $this->link($half, 1 / ($tube->sides[0]->end->firstContactWK() ?? INF));
            }
            $before = $half;
        }
        $this->lastTube = count($this->massKg) - 1;
        foreach ($tube->sides[1]->end->lumps as $i => $lump) {
            $this->link($i === 0 ? $before : 0.0, 1 / ($lump->linkWK ?? INF));
            $this->lump($lump, $tube->densityKgM3);
        }
        foreach ([0, 1] as $side) {
            $this->plates($tube, $side, $side === 0 ? $grid->widthMm[0] / 2 : $before);
        }
    }

    public function count(): int
    {
        return count($this->massKg);
    }

    private function plates(HotTube $tube, int $side, float $halfMm): void
    {
        $end = $tube->sides[$side]->end;
        if ($end->isPlate()) {
            $this->plates[$side === 0 ? $this->first : $this->lastTube] = [
                $halfMm, 1 / ($end->contactWK ?? INF), (float) $end->plateC,
            ];
        }
        foreach ($end->lumps as $i => $lump) {
            $node = $side === 0 ? $this->first - 1 - $i : $this->lastTube + 1 + $i;
            if ($lump->plateWK !== null && $end->plateC !== null) {
                $this->plates[$node] = [0.0, 1 / $lump->plateWK, $end->plateC];
            } elseif ($lump->plateWK !== null) {
                $this->warm[$node] = $lump->plateWK;
            }
        }
    }

    private function lump(Lump $lump, float $densityKgM3): void
    {
        $kind = [$lump->heatJKgK, $lump->emissivity];
        $known = array_search($kind, $this->kinds, true);
        if ($known === false) {
            $known = count($this->kinds);
            $this->kinds[] = $kind;
        }
        $this->node(
            $lump->massKg, $lump->areaMm2, 1 + $known,
            $lump->radiusMm > 0.0 ? $lump->massKg / $densityKgM3 / ($lump->radiusMm / 1000) ** 2 : INF,
        );
    }

    private function node(float $massKg, float $size, int $kind, float $turnM): void
    {
        $this->massKg[] = $massKg;
        $this->size[] = $size;
        $this->kind[] = $kind;
        $this->turnM[] = $turnM;
    }

    private function link(float $apartMm, float $contactKW): void
    {
        $this->apartMm[] = $apartMm;
        $this->contactKW[] = $contactKW;
    }
}
