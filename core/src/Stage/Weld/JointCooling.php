<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Metal;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\CoolingCurve;
use UpsweptBead\Core\Solve\Cool\Film;
use UpsweptBead\Core\Solve\Cool\HotTube;
use UpsweptBead\Core\Solve\Cool\Property;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Weld\Internal\Curves;
use UpsweptBead\Core\Stage\Weld\Internal\SeamNeighbours;

/**
 * How a joint cools where it is welded: in the middle of its tube, or beside what stands there; until its root may see
 * air at the hottest place round it, and until all of it is cool.
 */
final readonly class JointCooling
{
    private const MOST_MIN = 2880.0;

    /** The hottest place is found within a few hundredths; the purge is kept on for so much longer. */
    private const ROUGHLY = 1.05;

    private SeamNeighbours $surroundings;

    public function __construct(
        Layout $layout,
        private Shop $shop,
        private Curves $curves,
        private CoolPractice $practice,
    ) {
        $this->surroundings = new SeamNeighbours($layout, $shop);
    }

    /**
     * @param  float  $heatJ  that goes in
     * @param  float  $arcS  while the arc is on, in all
     * @param  Backing  $backing  what a flange is bolted to
     */
    public function times(
        Joint $joint,
        TubeSize $tube,
        Metal $metal,
        float $heatJ,
        float $arcS,
        int $runs,
        float $stopS,
        Backing $backing,
    ): CoolTimes {
        $rules = $this->shop->rules;
        $airC = $rules->value('cool.ambient');
        $limitC = max($airC + 1.0, $rules->value($this->practice->rule()));
        $touchC = max($airC + 1.0, $rules->value('cool.touch'));
        $keepC = max($airC + 1.0, $rules->value('purge.keep_until'));
        $fan = $rules->value('cool.fan');
        $beadMm = $rules->value('weld.bead_to_wall') * $tube->wallMm;
        $at = $this->surroundings->of($joint, $tube, $backing, $beadMm, [$heatJ, $limitC]);
        $hot = new HotTube(
            $tube->odMm,
            $tube->wallMm,
            $metal->densityKgM3,
            Property::constant($metal->heatJKgK),
            Property::constant($metal->conductivityWMK),
            $rules->value('cool.emissivity'),
            $at->sides,
            $fan > 0.0 ? Film::fan($fan) : Film::still(),
            $airC,
            0.0,
            $airC,
        );
        $heat = new ArcHeat($heatJ / $arcS, $arcS, max(1, $runs), $stopS, $beadMm, $at->intoEnd);
        $curve = $this->curves->of($hot, $heat, [$limitC, $touchC], [$keepC]);
        $apartMm = $rules->value('schedule.apart');
        foreach ($curve->rises as $i => [, $peakK]) {
            if ($peakK <= $limitC - $airC) {
                $apartMm = min($apartMm, Curves::AWAY_MM[$i]);
                break;
            }
        }

        $pace = $rules->value('cool.pace');
        [$keepS, $coolS, $touchS] = array_map(
            static fn (?float $minutes): float => $pace * self::seconds($minutes),
            [...$curve->spotMin, ...$curve->belowMin],
        );
        $keepS *= self::ROUGHLY;

        return new CoolTimes($keepS, $coolS, $touchS, $apartMm, self::warmth($curve, $airC, $pace), $at->what);
    }

    /** @param  float  $pace  by how much slower the shop has found it to be */
    private static function warmth(CoolingCurve $curve, float $airC, float $pace): Warmth
    {
        $rises = [[0.0, array_map(static fn (float $celsius): float => $celsius - $airC, $curve->seamC)]];
        foreach ($curve->rises as $i => [$kelvin]) {
            $rises[] = [Curves::AWAY_MM[$i], $kelvin];
        }

        return new Warmth(array_map(static fn (float $min): float => $pace * 60 * $min, Curves::AFTER_MIN), $rises);
    }

    /** What does not cool in two days is said to take two days. */
    private static function seconds(?float $minutes): float
    {
        return 60 * ($minutes ?? self::MOST_MIN);
    }
}
