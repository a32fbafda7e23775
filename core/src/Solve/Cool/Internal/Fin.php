<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\Film;
use UpsweptBead\Core\Solve\Cool\HotTube;
use UpsweptBead\Core\Solve\Cool\WarmPlate;

/**
 * The temperatures along a tube and of what stands at its ends, as they go on in time: finite volumes, and in time the
 * Rosenbrock method of two stages with γ = 1 − 1/√2, of second order and L-stable [Verwer, Spee, Blom & Hundsdorfer
 * 1999,
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

    /** @var list<float> of every node, along the tube: lumps stand first and last, a plate that warms behind them all */
    public array $celsius;

    public readonly Grid $grid;

    public readonly HeatChain $chain;

    /** Nodes in a row; a plate that warms is beside it. */
    private readonly int $count;

    /** @var array<int, float> of the power that goes into each node */
    public readonly array $share;

    /** @var list<Table> heat capacity by the kind of node, J/kgK */
    private array $heat = [];

    /** @var list<Table> loss, W per mm or mm² */
    private array $loss = [];

    private readonly Table $conductivity;

    private readonly float $firstC;

    private readonly float $areaM2PerMm;

    private readonly ?WarmPlate $plate;

    /** @var list<float> what a step would come to */
    private array $next = [];

    /** @var array<int, float> of each node of the row in a step, J/K */
    private array $capacity = [];

    /** @var array<int, float> by how much each node's warming grows with its own temperature, 1/s */
    private array $slope = [];

    /** @param  bool  $isRough  with fewer cells, for within a few hundredths */
    public function __construct(private readonly HotTube $tube, ArcHeat $heat, bool $isRough = false)
    {
        $this->grid = Grid::of($tube->sides, $heat->beadMm, $isRough);
        $this->chain = $chain = new HeatChain($tube, $this->grid);
        $plates = array_map(static fn ($side): float => $side->end->plateC ?? $tube->airC, $tube->sides);
        $this->firstC = min($tube->airC, $tube->startC, ...$plates) - self::BELOW_K;
        // k in W/mK times an area over a length in mm, both in mm: W/K.
        $this->areaM2PerMm = $tube->areaMm2() * 1e-3;
        $this->conductivity = new Table($tube->conductivityWMK->at(...), $this->firstC);
        $outside = M_PI * $tube->odMm * 1e-6;
        $inside = M_PI * ($tube->odMm - 2 * $tube->wallMm) * 1e-6 * $tube->insideWM2K;
        $this->kind($tube->heatJKgK->at(...), fn (float $c): float => $outside * $this->fluxWM2($c, $tube->emissivity)
            + $inside * ($c - $tube->airC));
        foreach ($chain->kinds as [$own, $emissivity]) {
            $radiates = $emissivity ?? $tube->emissivity;
            $this->kind(
                ($own ?? $tube->heatJKgK)->at(...),
                fn (float $c): float => 1e-6 * $this->fluxWM2($c, $radiates),
            );
        }
        $this->plate = $tube->sides[0]->end->warmPlate ?? $tube->sides[1]->end->warmPlate;
        $this->count = $chain->count();
        $this->celsius = $this->atStart();
        $this->share = $this->shares($heat);
    }

    /** @return list<float> */
    private function atStart(): array
    {
        [$before, $behind] = [$this->tube->sides[0]->end, $this->tube->sides[1]->end];
        $plate = $before->warmPlate === null ? $behind : $before;

        return [
            ...array_fill(0, $this->chain->first, $before->startC ?? $this->tube->startC),
            ...array_fill(0, $this->chain->lastTube + 1 - $this->chain->first, $this->tube->startC),
            ...array_fill(0, $this->count - $this->chain->lastTube - 1, $behind->startC ?? $this->tube->startC),
            ...$this->plate === null ? [] : [$plate->startC ?? $this->tube->startC],
        ];
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
        $this->lookUpTo($hottest + self::ABOVE_K);
        [$lower, $upper, $flow] = $this->rates($now, $powerW, true);
        $border = $this->border();
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
        $column = $border === null ? [] : self::solved($border->column, $factor, $over, $upper, $by, $n);
        $k1 = self::solved($flow, $factor, $over, $upper, $by, $n);
        $k1 = self::bordered($k1, $flow[$n] ?? 0.0, $border, $column, $by);
        $middle = [];
        $all = count($now);
        for ($i = 0; $i < $all; $i++) {
            $middle[$i] = $now[$i] + $seconds * $k1[$i];
        }
        // Far too long a step: there is nothing to look up out there.
        if (max($now[0], ...$middle) > $hottest + self::ABOVE_K || min($now[0], ...$middle) < $this->firstC) {
            return INF;
        }
        [, , $flow] = $this->rates($middle, $powerW, false);
        for ($i = 0; $i < $all; $i++) {
            $flow[$i] -= 2 * $k1[$i];
        }
        $k2 = self::solved($flow, $factor, $over, $upper, $by, $n);
        $k2 = self::bordered($k2, $flow[$n] ?? 0.0, $border, $column, $by);
        $off = 0.0;
        $next = [];
        for ($i = 0; $i < $all; $i++) {
            $next[] = $now[$i] + $seconds * (1.5 * $k1[$i] + 0.5 * $k2[$i]);
            $one = $k1[$i] + $k2[$i];
            $off = $one > $off ? $one : (-$one > $off ? -$one : $off);
        }
        $this->next = $next;

        return 0.5 * $seconds * $off;
    }

    /**
     * What warms and cools the nodes of the row at one temperature: of each its capacity (J/K), what it loses (W/K) to
     * air and plates, and its link to the next (W/K); with the conductivity there (W/mK).
     *
     * @return array{list<float>, list<float>, list<float>, float}
     */
    public function linear(float $celsius): array
    {
        $this->lookUpTo($celsius + self::ABOVE_K);
        $now = array_fill(0, count($this->celsius), $celsius);
        [, $upper] = $this->rates($now, 0.0, true);
        $loss = $link = [];
        for ($i = 0; $i < $this->count; $i++) {
            $link[] = $upper[$i] * $this->capacity[$i];
            $loss[] = max(0.0, -$this->slope[$i] * $this->capacity[$i] - $link[$i] - ($i > 0 ? $link[$i - 1] : 0.0));
        }

        return [array_values($this->capacity), $loss, $link, $this->tube->conductivityWMK->at($celsius)];
    }

    private function lookUpTo(float $celsius): void
    {
        foreach ([$this->conductivity, ...$this->heat, ...$this->loss] as $table) {
            $table->until($celsius);
        }
    }

    public function hottestC(): float
    {
        return max($this->firstC, ...$this->celsius);
    }

    /** @return list<float> of what stands at the ends, °C */
    public function endsC(): array
    {
        return [
            ...array_slice($this->celsius, 0, $this->chain->first),
            ...array_slice($this->celsius, $this->chain->lastTube + 1),
        ];
    }

    /** From the coldest of it to the hottest. */
    public function spreadK(): float
    {
        return $this->hottestC() - min($this->hottestC(), ...$this->celsius);
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
        $chain = $this->chain;
        $firstC = $this->firstC;
        $conductivity = $this->conductivity->values;
        $heatTables = array_map(static fn (Table $one): array => $one->values, $this->heat);
        $lossTables = array_map(static fn (Table $one): array => $one->values, $this->loss);
        $lower = $upper = $flow = $slope = $capacities = [];
        $in = 0.0;
        $before = 0.0;
        $toPlate = [];
        foreach ($chain->warm as $i => $link) {
            $toPlate[$i] = $link * ($now[$i] - $now[$n]);
        }
        for ($i = 0; $i < $n; $i++) {
            $celsius = $now[$i];
            $kind = $chain->kind[$i];
            $place = ($celsius - $firstC) / Table::STEP_K;
            $j = (int) $place;
            $share = $place - $j;
            $heat = $heatTables[$kind];
            $capacity = $chain->massKg[$i] * ($heat[$j] + $share * ($heat[$j + 1] - $heat[$j]));
            $loss = $lossTables[$kind];
            $rise = $loss[$j + 1] - $loss[$j];
            $size = $chain->size[$i];
            $watts = $in + $powerW * $this->share[$i] - $size * ($loss[$j] + $share * $rise);
            $own = $before + $size * $rise / Table::STEP_K;
            $next = 0.0;
            if ($i < $n - 1) {
                $meanPlace = (($celsius + $now[$i + 1]) / 2 - $firstC) / Table::STEP_K;
                $j = (int) $meanPlace;
                $k = $conductivity[$j] + ($meanPlace - $j) * ($conductivity[$j + 1] - $conductivity[$j]);
                $next = 1 / ($chain->apartMm[$i] / ($k * $this->areaM2PerMm) + $chain->contactKW[$i]);
                $in = $next * ($celsius - $now[$i + 1]);
                $watts -= $in;
                $own += $next;
            }
            if (isset($chain->plates[$i])) {
                [$apart, $contact, $plateC] = $chain->plates[$i];
                $j = (int) $place;
                $k = $conductivity[$j];
                $link = 1 / ($apart / ($k * $this->areaM2PerMm) + $contact);
                $watts -= $link * ($celsius - $plateC);
                $own += $link;
            }
            if (isset($toPlate[$i])) {
                $own += $chain->warm[$i];
                $watts -= $toPlate[$i];
            }
            $flow[$i] = $watts / $capacity;
            if ($withSlopes) {
                $capacities[$i] = $capacity;
                $slope[$i] = -$own / $capacity;
                $lower[$i] = $before / $capacity;
                $upper[$i] = $next / $capacity;
            }
            $before = $next;
        }
        if ($this->plate !== null) {
            $out = $this->plate->areaMm2 * 1e-6 * $this->fluxWM2($now[$n], $this->tube->emissivity);
            $flow[$n] = (array_sum($toPlate) - $out) / ($this->plate->massKg * $this->plate->heatJKgK);
        }
        if ($withSlopes) {
            $this->slope = $slope;
            $this->capacity = $capacities;
        }

        return [$lower, $upper, $flow];
    }

    /** What ties the plate that warms to the row, for a step whose slopes are known. */
    private function border(): ?Border
    {
        if ($this->plate === null) {
            return null;
        }
        $column = array_fill(0, $this->count, 0.0);
        $line = [];
        $capacity = $this->plate->massKg * $this->plate->heatJKgK;
        foreach ($this->chain->warm as $i => $link) {
            $column[$i] = $link / $this->capacity[$i];
            $line[$i] = $link / $capacity;
        }
        $celsius = $this->celsius[$this->count];
        $emissivity = $this->tube->emissivity;
        $slope = $this->fluxWM2($celsius + 1.0, $emissivity) - $this->fluxWM2($celsius, $emissivity);

        return new Border($column, $line, array_sum($line) + $this->plate->areaMm2 * 1e-6 * $slope / $capacity);
    }

    /**
     * With the plate beside the row.
     *
     * @param  array<int, float>  $row  solved without it
     * @param  float  $known  the plate's right side
     * @param  array<int, float>  $column  the border's, solved
     * @return array<int, float>
     */
    private static function bordered(array $row, float $known, ?Border $border, array $column, float $by): array
    {
        if ($border === null) {
            return $row;
        }
        $diagonal = 1 + $by * $border->own;
        foreach ($border->line as $i => $share) {
            $known += $by * $share * $row[$i];
            $diagonal -= $by * $by * $share * $column[$i];
        }
        $plate = $known / $diagonal;
        foreach ($column as $i => $value) {
            $row[$i] += $by * $value * $plate;
        }
        $row[count($column)] = $plate;

        return $row;
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

    /**
     * The heat goes evenly into the tube under the bead, what there is of it, but for what goes into the end at the
     * seam.
     *
     * @return array<int, float>
     */
    private function shares(ArcHeat $heat): array
    {
        $under = [];
        foreach ($this->grid->widthMm as $i => $wide) {
            $under[] = self::overlapMm($this->grid->atMm[$i], $wide, $heat->beadMm / 2);
        }
        $all = array_sum($under);
        $share = array_fill(0, $this->count, 0.0);
        foreach ($under as $i => $mm) {
            $share[$this->chain->first + $i] = (1 - $heat->intoEnd) * $mm / $all;
        }
        if ($heat->intoEnd > 0.0) {
            $share[$this->chain->first - 1] = $heat->intoEnd;
        }

        return $share;
    }

    /** How much of a cell lies within a distance of the seam. */
    public static function overlapMm(float $atMm, float $wideMm, float $withinMm): float
    {
        return max(0.0, min($atMm + $wideMm / 2, $withinMm) - max($atMm - $wideMm / 2, -$withinMm));
    }
}
