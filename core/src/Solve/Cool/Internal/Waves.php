<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

use UpsweptBead\Core\Solve\Cool\ArcHeat;

/**
 * How much hotter than its mean round the seam each place of it is: the arc goes round by opposite quarters, and heat
 * runs round the tube behind it. The first waves round the seam, each a row of nodes of its own in which heat also dies
 * away round the tube; linear at one temperature, by backward Euler, which lets no wave die sooner than it does.
 */
final class Waves
{
    /** More of them are gone before the torch's post-flow is over. */
    private const COUNT = 8;

    /** Constants hold about here, where it is asked when the root may see air (°C). */
    private const AT_C = 300.0;

    /** Steps while the arc goes round (s), and after it as a share of the time gone by. */
    private const STEP_S = 2.0;

    private const STEP_SHARE = 0.15;

    /** The places round the seam that are looked at. */
    private const PLACES = 16;

    /** After so many of its time constants nothing is left of a wave. */
    private const GONE = 6.0;

    /** Nor where it is smaller than this (K). */
    private const SMALL_K = 0.5;

    /** Quarters in the order in which they are welded. */
    private const QUARTERS = [0, 2, 1, 3];

    /** @var list<float> */
    private array $capacity;

    /** @var list<float> */
    private array $loss;

    /** @var list<float> */
    private array $link;

    private float $conductivity;

    private int $count;

    /** @var array<int, array{array<int, float>, array<int, float>}> by wave: what it is along and across the zero place, by node (K) */
    private array $waves = [];

    /** @var array<int, float> where heat goes in */
    private array $hot;

    /** @var list<int> the nodes that are looked at */
    private array $nearest = [];

    /** @var list<array<int, array{float, float}>> by place: cosine and sine of each wave there */
    private array $places = [];

    /** @var array<int, float> by wave: as long as the arc still goes on for longer than this (s), nothing of it will be left */
    private array $livesS = [];

    private float $goneS = 0.0;

    private float $arcS = 0.0;

    private float $sinceS = 0.0;

    public function __construct(private readonly Fin $fin, private readonly ArcHeat $heat)
    {
        [$this->capacity, $this->loss, $this->link, $this->conductivity] = $fin->linear(self::AT_C);
        $this->count = count($this->capacity);
        $none = array_fill(0, $this->count, 0.0);
        for ($m = 1; $m <= self::COUNT; $m++) {
            $this->waves[$m] = [$none, $none];
        }
        $seam = $fin->chain->first;
        foreach (array_keys($this->waves) as $m) {
            $round = $this->conductivity * $m * $m * $fin->chain->turnM[$seam];
            $this->livesS[$m] = self::GONE * $this->capacity[$seam] / $round;
            for ($place = 0; $place < self::PLACES; $place++) {
                $angle = 2 * M_PI * $place / self::PLACES * $m;
                $this->places[$place][$m] = [cos($angle), sin($angle)];
            }
        }
        $this->hot = array_filter($fin->share, static fn (float $share): bool => $share > 0.0);
        // On either side of the seam, what stands there with it; what else the arc heats is no warmer.
        if ($heat->intoEnd > 0.0) {
            $this->nearest[] = $fin->chain->first - 1;
        }
        foreach ($fin->grid->atMm as $i => $mm) {
            if (abs($mm) <= $fin->grid->widthMm[$i]) {
                $this->nearest[] = $fin->chain->first + $i;
            }
        }
    }

    /** So many seconds, with the arc on or not. */
    public function go(float $seconds, bool $isOn): void
    {
        while ($seconds > 1e-9) {
            $longest = $isOn ? self::STEP_S : max(self::STEP_S, self::STEP_SHARE * $this->sinceS);
            $now = min($seconds, $longest);
            $this->step($now, $isOn);
            $seconds -= $now;
        }
    }

    /** The hottest place of what the arc heats, °C. */
    public function hottestC(): float
    {
        $hottest = -INF;
        foreach ($this->nearest as $node) {
            foreach ($this->places as $turns) {
                $celsius = $this->fin->celsius[$node];
                foreach ($this->waves as $m => [$along, $across]) {
                    [$cos, $sin] = $turns[$m];
                    $celsius += $along[$node] * $cos + $across[$node] * $sin;
                }
                $hottest = $celsius > $hottest ? $celsius : $hottest;
            }
        }

        return $hottest;
    }

    private function step(float $seconds, bool $isOn): void
    {
        $angle = 0.0;
        if ($isOn) {
            $turned = min(1.0 - 1e-9, ($this->arcS + $seconds / 2) / $this->heat->arcS);
            $quarter = (int) ($turned * 4);
            $angle = 2 * M_PI * (self::QUARTERS[$quarter] + $turned * 4 - $quarter) / 4;
            $this->arcS += $seconds;
            $this->sinceS = 0.0;
        } else {
            $this->sinceS += $seconds;
        }
        $this->goneS += $seconds;
        $leftS = $this->heat->arcS + ($this->heat->runs - 1) * $this->heat->stopS - $this->goneS;
        foreach ($this->waves as $m => [$along, $across]) {
            if ($leftS > $this->livesS[$m]) {
                continue;
            }
            $sources = [
                $isOn ? 2 * $this->heat->powerW * cos($m * $angle) : 0.0,
                $isOn ? 2 * $this->heat->powerW * sin($m * $angle) : 0.0,
            ];
            $this->waves[$m] = $this->solved($m, $seconds, [$along, $across], $sources);
            $largest = max(0.0, ...array_map(abs(...), [...$this->waves[$m][0], ...$this->waves[$m][1]]));
            if ($leftS <= 0.0 && $this->sinceS > self::STEP_S && $largest < self::SMALL_K) {
                unset($this->waves[$m]);
            }
        }
    }

    /**
     * @param  array{array<int, float>, array<int, float>}  $now
     * @param  array{float, float}  $sources  W
     * @return array{array<int, float>, array<int, float>}
     */
    private function solved(int $m, float $seconds, array $now, array $sources): array
    {
        $n = $this->count;
        $turn = $this->fin->chain->turnM;
        $round = $this->conductivity * $m * $m;
        [$along, $across] = $now;
        $upper = [];
        $before = $link = 0.0;
        for ($i = 0; $i < $n; $i++) {
            $capacity = $this->capacity[$i] / $seconds;
            $next = $this->link[$i];
            // What is as warm all round has no wave.
            $own = $turn[$i] === INF ? 1e30 : $capacity + $this->loss[$i] + $round * $turn[$i] + $link + $next;
            $share = $this->hot[$i] ?? 0.0;
            $a = $capacity * $along[$i] + $sources[0] * $share;
            $b = $capacity * $across[$i] + $sources[1] * $share;
            if ($i > 0) {
                $own += $link * $before;
                $a += $link * $along[$i - 1];
                $b += $link * $across[$i - 1];
            }
            $upper[$i] = $before = -$next / $own;
            $along[$i] = $a / $own;
            $across[$i] = $b / $own;
            $link = $next;
        }
        for ($i = $n - 2; $i >= 0; $i--) {
            $along[$i] -= $upper[$i] * $along[$i + 1];
            $across[$i] -= $upper[$i] * $across[$i + 1];
        }

        return [$along, $across];
    }
}
