<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool\Internal;

use UpsweptBead\Core\Cool\Film;
use UpsweptBead\Core\Cool\HotTube;

/**
 * The temperatures along a tube and of what stands at its ends, as they go on in time: finite volumes, and in time the
 * Rosenbrock method of two stages with γ = 1 − 1/√2, of second order and L-stable [Verwer, Spee, Blom & Hundsdorfer 1999,
 * from memory]: one matrix of three diagonals a step, and no iteration. Millimetres, seconds, °C, watts.
 */
final class Fin
{
    private const GAMMA = 0.29289321881345254;

    private const BOLTZMANN = 5.670374e-8;

    /** Tables begin so much below the coldest that there is. */
    private const BELOW_K = 20.0;

    /** And reach so much above the hottest, or a step is too long. */
    private const ABOVE_K = 600.0;

    /** @var list<float> of every node, along the tube: a mass stands first or last */
    public array $celsius;

    public readonly Grid $grid;

    /** Number of the first node that is tube. */
    public readonly int $first;

    private readonly int $count;

    /** @var list<float> kg of each node */
    private array $massKg = [];

    /** @var list<float> what a node's loss counts: mm of tube, or mm² of a mass */
    private array $size = [];

    /** @var list<int> which tables a node has: 0 the tube's, 1 and 2 those of the masses */
    private array $tables = [];

    /** @var list<float> mm of tube between the middles of a node and the next */
    private array $apartMm = [];

    /** @var list<float> K/W of the contact between them */
    private array $contactKW = [];

    /** @var array<int, float> of the power that goes into each node */
    private array $share = [];

    /** @var array<int, array{float, float, float}> by node: mm of tube to a plate, K/W of its contact, its temperature */
    private array $plates = [];

    /** @var list<Table> heat capacity by the kind of node, J/kgK */
    private array $heat = [];

    /** @var list<Table> loss, W per mm or mm² */
    private array $loss = [];

    private readonly Table $conductivity;

    private readonly float $firstC;

    private readonly float $areaM2PerMm;

    /** @var list<float> what a step would come to */
    private array $next = [];

    /** @var array<int, float> by how much each node's warming grows with its own temperature, 1/s */
    private array $slope = [];

    /** @param  bool  $isRough  with fewer cells, for within a few hundredths */
    public function __construct(private readonly HotTube $tube, float $beadMm, bool $isRough = false)
    {
        $this->grid = Grid::of($tube->sides, $beadMm, $isRough);
        $plates = array_map(static fn ($side): float => $side->end->plateC ?? $tube->airC, $tube->sides);
        $this->firstC = min($tube->airC, $tube->startC, ...$plates) - self::BELOW_K;
        // k in W/mK times an area over a length in mm, both in mm: W/K.
        $this->areaM2PerMm = $tube->areaMm2() * 1e-3;
        $this->conductivity = new Table($tube->conductivityWMK->at(...), $this->firstC);
        $outside = M_PI * $tube->odMm * 1e-6;
        $inside = M_PI * ($tube->odMm - 2 * $tube->wallMm) * 1e-6 * $tube->insideWM2K;
        $this->kind($tube->heatJKgK->at(...), fn (float $c): float => $outside * $this->fluxWM2($c, $tube->emissivity)
            + $inside * ($c - $tube->airC));
        $this->first = $this->mass(0) ? 1 : 0;
        foreach ($this->grid->widthMm as $i => $wide) {
            $this->node($wide * $tube->areaMm2() * 1e-9 * $tube->densityKgM3, $wide, 0);
            if ($i > 0) {
                $this->link(($this->grid->widthMm[$i - 1] + $wide) / 2, 0.0);
            } elseif ($this->first === 1) {
                $this->link($wide / 2, 1 / ($tube->sides[0]->end->contactWK ?? INF));
            }
        }
        $lastTube = count($this->massKg) - 1;
        $wide = $this->grid->widthMm[count($this->grid->widthMm) - 1];
        if ($this->mass(1)) {
            $this->link($wide / 2, 1 / ($tube->sides[1]->end->contactWK ?? INF));
        }
        foreach ([$this->first, $lastTube] as $side => $node) {
            $end = $tube->sides[$side]->end;
            if ($end->isPlate()) {
                $half = $this->grid->widthMm[$node - $this->first] / 2;
                $this->plates[$node] = [$half, 1 / ($end->contactWK ?? INF), (float) $end->plateC];
            } elseif ($end->isMass() && $end->plateWK !== null) {
                $mass = $side === 0 ? 0 : count($this->massKg) - 1;
                $this->plates[$mass] = [0.0, 1 / $end->plateWK, (float) $end->plateC];
            }
        }
        $this->count = count($this->massKg);
        $this->celsius = array_fill(0, $this->count, $tube->startC);
        $this->shares($beadMm);
    }

    /**
     * Looks a step ahead.
     *
     * @return float about by how much it may be off, K
     */
    public function step(float $seconds, float $powerW): float
    {
        $now = $this->celsius;
        $hottest = $this->hottestC();
        foreach ([$this->conductivity, ...$this->heat, ...$this->loss] as $table) {
            $table->until($hottest + self::ABOVE_K);
        }
        [$lower, $upper, $flow] = $this->rates($now, $powerW, true);
        $n = $this->count;
        $by = self::GAMMA * $seconds;
        // (1 − γτA), factored once; A is the flow's slope with the links and capacities held.
        $factor = $over = [];
        $slope = $this->slope;
        $factor[0] = 1.0 - $by * $slope[0];
        for ($i = 1; $i < $n; $i++) {
            $over[$i] = -$by * $lower[$i] / $factor[$i - 1];
            $factor[$i] = 1.0 - $by * $slope[$i] + $over[$i] * $by * $upper[$i - 1];
        }
        $k1 = self::solved($flow, $factor, $over, $upper, $by, $n);
        $middle = [];
        for ($i = 0; $i < $n; $i++) {
            $middle[$i] = $now[$i] + $seconds * $k1[$i];
        }
        // Far too long a step: there is nothing to look up out there.
        if (max([0.0, ...$middle]) > $hottest + self::ABOVE_K || min([0.0, ...$middle]) < $this->firstC) {
            return INF;
        }
        [, , $flow] = $this->rates($middle, $powerW, false);
        for ($i = 0; $i < $n; $i++) {
            $flow[$i] -= 2 * $k1[$i];
        }
        $k2 = self::solved($flow, $factor, $over, $upper, $by, $n);
        $off = 0.0;
        $next = [];
        for ($i = 0; $i < $n; $i++) {
            $next[] = $now[$i] + $seconds * (1.5 * $k1[$i] + 0.5 * $k2[$i]);
            $one = $k1[$i] + $k2[$i];
            $off = $one > $off ? $one : (-$one > $off ? -$one : $off);
        }
        $this->next = $next;

        return 0.5 * $seconds * $off;
    }

    public function hottestC(): float
    {
        return max([$this->firstC, ...$this->celsius]);
    }

    /** From the coldest of it to the hottest. */
    public function spreadK(): float
    {
        return $this->hottestC() - min([$this->hottestC(), ...$this->celsius]);
    }

    /** Takes the step that was looked at. */
    public function accept(): void
    {
        $this->celsius = $this->next;
    }

    /**
     * How fast each node warms, K/s, and by how much that grows with its neighbours' temperatures.
     *
     * @param  array<int, float>  $now
     * @return array{array<int, float>, array<int, float>, array<int, float>}
     */
    private function rates(array $now, float $powerW, bool $withSlopes): array
    {
        $n = $this->count;
        $firstC = $this->firstC;
        $conductivity = $this->conductivity->values;
        $heatTables = array_map(static fn (Table $one): array => $one->values, $this->heat);
        $lossTables = array_map(static fn (Table $one): array => $one->values, $this->loss);
        $lower = $upper = $flow = $slope = [];
        $in = 0.0;
        $before = 0.0;
        for ($i = 0; $i < $n; $i++) {
            $celsius = $now[$i];
            $kind = $this->tables[$i];
            $place = ($celsius - $firstC) / Table::STEP_K;
            $j = (int) $place;
            $share = $place - $j;
            $heat = $heatTables[$kind];
            $capacity = $this->massKg[$i] * ($heat[$j] + $share * ($heat[$j + 1] - $heat[$j]));
            $loss = $lossTables[$kind];
            $rise = $loss[$j + 1] - $loss[$j];
            $size = $this->size[$i];
            $watts = $in + $powerW * $this->share[$i] - $size * ($loss[$j] + $share * $rise);
            $own = $before + $size * $rise / Table::STEP_K;
            $next = 0.0;
            if ($i < $n - 1) {
                $meanPlace = (($celsius + $now[$i + 1]) / 2 - $firstC) / Table::STEP_K;
                $j = (int) $meanPlace;
                $k = $conductivity[$j] + ($meanPlace - $j) * ($conductivity[$j + 1] - $conductivity[$j]);
                $next = 1 / ($this->apartMm[$i] / ($k * $this->areaM2PerMm) + $this->contactKW[$i]);
                $in = $next * ($celsius - $now[$i + 1]);
                $watts -= $in;
                $own += $next;
            }
            if (isset($this->plates[$i])) {
                [$apart, $contact, $plateC] = $this->plates[$i];
                $j = (int) $place;
                $k = $conductivity[$j];
                $link = 1 / ($apart / ($k * $this->areaM2PerMm) + $contact);
                $watts -= $link * ($celsius - $plateC);
                $own += $link;
            }
            $flow[$i] = $watts / $capacity;
            if ($withSlopes) {
                $slope[$i] = -$own / $capacity;
                $lower[$i] = $before / $capacity;
                $upper[$i] = $next / $capacity;
            }
            $before = $next;
        }
        if ($withSlopes) {
            $this->slope = $slope;
        }

        return [$lower, $upper, $flow];
    }

    /**
     * @param  array<int, float>  $right
     * @param  array<int, float>  $factor
     * @param  array<int, float>  $over
     * @param  array<int, float>  $upper
     * @return array<int, float>
     */
    private static function solved(array $right, array $factor, array $over, array $upper, float $by, int $n): array
    {
        for ($i = 1; $i < $n; $i++) {
            $right[$i] -= $over[$i] * $right[$i - 1];
        }
        $right[$n - 1] /= $factor[$n - 1];
        for ($i = $n - 2; $i >= 0; $i--) {
            $right[$i] = ($right[$i] + $by * $upper[$i] * $right[$i + 1]) / $factor[$i];
        }

        return $right;
    }

    /** To air and walls of its temperature, W/m². */
    private function fluxWM2(float $celsius, float $emissivity): float
    {
        $film = $this->tube->film->wM2K($this->tube->odMm, $celsius, $this->tube->airC);

        return $film * ($celsius - $this->tube->airC) + $emissivity * self::BOLTZMANN
            * (($celsius + Film::KELVIN) ** 4 - ($this->tube->airC + Film::KELVIN) ** 4);
    }

    /**
     * @param  \Closure(float): float  $heat
     * @param  \Closure(float): float  $loss
     */
    private function kind(\Closure $heat, \Closure $loss): void
    {
        $this->heat[] = new Table($heat, $this->firstC);
        $this->loss[] = new Table($loss, $this->firstC);
    }

    private function node(float $massKg, float $size, int $kind): void
    {
        $this->massKg[] = $massKg;
        $this->size[] = $size;
        $this->tables[] = $kind;
    }

    /** Between the last node and the one that comes next, or has just come. */
    private function link(float $apartMm, float $contactKW): void
    {
        $this->apartMm[] = $apartMm;
        $this->contactKW[] = $contactKW;
    }

    /** The mass at the end of a side, if one stands there. */
    private function mass(int $side): bool
    {
        $end = $this->tube->sides[$side]->end;
        if (! $end->isMass()) {
            return false;
        }
        $emissivity = $end->emissivity ?? $this->tube->emissivity;
        $this->kind(
            ($end->heatJKgK ?? $this->tube->heatJKgK)->at(...),
            fn (float $c): float => 1e-6 * $this->fluxWM2($c, $emissivity),
        );
        $this->node($end->massKg, $end->areaMm2, count($this->heat) - 1);

        return true;
    }

    /** The heat goes evenly into the tube under the bead, what there is of it. */
    private function shares(float $beadMm): void
    {
        $under = [];
        foreach ($this->grid->widthMm as $i => $wide) {
            $under[] = self::overlapMm($this->grid->atMm[$i], $wide, $beadMm / 2);
        }
        $all = array_sum($under);
        $this->share = array_fill(0, $this->count, 0.0);
        foreach ($under as $i => $mm) {
            $this->share[$this->first + $i] = $mm / $all;
        }
    }

    /** How much of a cell lies within a distance of the seam. */
    public static function overlapMm(float $atMm, float $wideMm, float $withinMm): float
    {
        return max(0.0, min($atMm + $wideMm / 2, $withinMm) - max($atMm - $wideMm / 2, -$withinMm));
    }
}
