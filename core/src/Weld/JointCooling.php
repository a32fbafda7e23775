<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

use LogicException;
use UpsweptBead\Core\Branching\FlangePlan;
use UpsweptBead\Core\Cool\ArcHeat;
use UpsweptBead\Core\Cool\Film;
use UpsweptBead\Core\Cool\HotTube;
use UpsweptBead\Core\Cool\Property;
use UpsweptBead\Core\Cool\TubeEnd;
use UpsweptBead\Core\Cool\TubeSide;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Shop\CoolSchool;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Stock\Metal;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Weld\Internal\Curves;

/**
 * How a joint cools where it is welded: in the middle of its tube; at its end, beside a ring that is clamped to its mate,
 * or a flange that is bolted to the fixture.
 */
final readonly class JointCooling
{
    /**
     * Lengths of tube count as the next shorter of these, so that most seams are alike (mm); less tube cools the slower.
     * Beyond the last nothing changes.
     */
    private const LENGTHS_MM = [300.0, 200.0, 150.0, 110.0, 80.0, 60.0, 40.0, 30.0, 20.0, 15.0, 10.0, 5.0];

    /** Into a collector or a main there is at least so much tube to run along (mm); our own figure. */
    private const INTO_PART_MM = 110.0;

    /** A clamp that holds a ring to its mate, so that it stays round: its mass and its width; our own figures. */
    private const CLAMP_KG = 0.2;

    private const CLAMP_MM = 20.0;

    public function __construct(
        private Layout $layout,
        private Shop $shop,
        private Curves $curves,
        private CoolSchool $school,
    ) {}

    /**
     * @param  float  $heatJ  that goes in
     * @param  float  $arcS  while the arc is on, in all
     */
    public function times(
        Joint $joint,
        TubeSize $tube,
        Metal $metal,
        float $heatJ,
        float $arcS,
        int $runs,
        float $stopS,
    ): CoolTimes {
        $rules = $this->shop->rules;
        $airC = $rules->value('cool.ambient');
        $limitC = max($airC + 1.0, $rules->value($this->school->rule()));
        $touchC = max($airC + 1.0, $rules->value('cool.touch'));
        $keepC = max($airC + 1.0, $rules->value('purge.keep_until'));
        $fan = $rules->value('cool.fan');
        [$sides, $what] = $this->sides($joint);
        $hot = new HotTube(
            $tube->odMm,
            $tube->wallMm,
            $metal->densityKgM3,
            Property::constant($metal->heatJKgK),
            Property::constant($metal->conductivityWMK),
            $rules->value('cool.emissivity'),
            $sides,
            $fan > 0.0 ? Film::fan($fan) : Film::still(),
            $airC,
            0.0,
            $airC,
        );
        $beadMm = $rules->value('weld.bead_to_wall') * $tube->wallMm;
        $heat = new ArcHeat($heatJ / $arcS, $arcS, max(1, $runs), $stopS, $beadMm);
        $curve = $this->curves->of($hot, $heat, [$keepC, $limitC, $touchC]);
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
            $curve->belowMin,
        );

        return new CoolTimes($keepS, $coolS, $touchS, $apartMm, $what);
    }

    /** @return array{array{TubeSide, TubeSide}, string} and what stands at the seam, in words; '' for nothing */
    private function sides(Joint $joint): array
    {
        $routed = $this->layout->run($joint->run);
        $into = new TubeSide(self::INTO_PART_MM, TubeEnd::bare());
        if ($routed === null) {
            return [[$into, $into], ''];
        }
        $stationMm = $joint->seam->stationMm;
        if (! $joint->type->isAtPart()) {
            return [[self::side($stationMm), self::side($routed->run->lengthMm() - $stationMm)], ''];
        }
        $along = self::side($routed->run->lengthMm());
        [$end, $what] = $this->part($joint, $routed);

        return $end === null ? [[$into, $along], ''] : [[new TubeSide(0.0, $end), $along], $what];
    }

    /** @return array{?TubeEnd, string} the ring or flange at a joint; null where tube goes on into tube */
    private function part(Joint $joint, RoutedRun $routed): array
    {
        if (in_array($joint->type, [JointType::SlipFillet, JointType::Saddle], true)) {
            return [null, ''];
        }
        $id = $joint->run.($joint->seam->stationMm < $routed->run->lengthMm() / 2 ? '.start' : '.end');
        foreach ($this->layout->placement->flanges as $flange) {
            if ($flange->id === $id) {
                return $this->end($flange);
            }
        }

        return [null, ''];
    }

    /** @return array{TubeEnd, string} */
    private function end(FlangePlan $flange): array
    {
        $massKg = $flange->massKg($this->shop);
        $areaMm2 = $flange->flange->areaMm2();
        [$left, , $right] = $flange->flange->outline->box();
        $round = M_PI * ($right - $left);
        $thickMm = $flange->flange->thicknessMm;
        if ($flange->isBand()) {
            // Two rings, each with a free face, its outside and its bore; the clamp's outside covers most of theirs.
            $bore = M_PI * $flange->tube->odMm * $thickMm;

            return [
                TubeEnd::mass(
                    2 * $massKg + self::CLAMP_KG,
                    2 * ($areaMm2 + $bore + $round * $thickMm) + $round * self::CLAMP_MM,
                ),
                sprintf('a ring of %.2f kg, clamped to its mate', $massKg),
            ];
        }
        $boltedWK = $this->shop->rules->value('cool.bolted') * $areaMm2 * 1e-6;

        return [
            TubeEnd::mass(
                $massKg,
                $areaMm2 + $round * $thickMm,
                null,
                $boltedWK,
                $this->shop->rules->value('cool.ambient'),
            ),
            sprintf('a flange of %.2f kg, bolted to the fixture plate', $massKg),
        ];
    }

    /** All that stands beside a seam of a job is as cold as the air in the end, and the limits are above that. */
    private static function seconds(?float $minutes): float
    {
        return 60 * ($minutes ?? throw new LogicException('A seam does not cool to a limit above the air.'));
    }

    private static function side(float $mm): TubeSide
    {
        foreach (self::LENGTHS_MM as $least) {
            if ($mm >= $least) {
                return new TubeSide($least, TubeEnd::bare());
            }
        }

        return new TubeSide(0.0, TubeEnd::bare());
    }
}
