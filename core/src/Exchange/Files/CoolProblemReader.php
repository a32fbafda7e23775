<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\Film;
use UpsweptBead\Core\Solve\Cool\HotTube;
use UpsweptBead\Core\Solve\Cool\Property;
use UpsweptBead\Core\Solve\Cool\TubeEnd;
use UpsweptBead\Core\Solve\Cool\TubeSide;

/** Reads the open cooling format, as a file from anywhere. Fields it does not know are passed over. */
final readonly class CoolProblemReader
{
    public const FORMAT = 'cool-problem/1';

    private const MOST = 1e7;

    private const LEAST = 1e-9;

    private const MOST_ASKED = 100;

    private const MOST_PLACES = 200;

    private const MOST_RUNS = 200;

    private const MOST_MM = 1e5;

    private const MOST_C = 3000.0;

    private const COLDEST_C = -200.0;

    private const MOST_MIN = 2880.0;

    /**
     * @return CoolProblem|non-empty-list<Fault> what is wrong with the file where it cannot be answered
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): CoolProblem|array
    {
        $faults = new Faults;
        $root = Node::open($json, self::FORMAT, null, $faults);
        $tube = self::tube($root);
        $heat = self::heat($root->at('weld'), $tube);
        $asked = $root->at('asked');
        $problem = new CoolProblem(
            $root->at('name')->text('', 200),
            $tube,
            $heat,
            self::positive($asked->at('near_mm'), self::MOST_MM),
            self::limits($asked->at('limits_c'), $tube->airC),
            self::each(
                $asked->at('times_min'),
                static fn (Node $one): float => ProblemNumbers::within($one, 0, self::MOST_MIN),
            ),
            self::each($asked->at('distances'), static fn (Node $one): array => self::distance($one, $tube)),
        );
        $wrong = $faults->onePerPlace();

        return $wrong !== [] ? $wrong : $problem;
    }

    private static function tube(Node $root): HotTube
    {
        [$node, $metal, $air] = [$root->at('tube'), $root->at('metal'), $root->at('air')];
        $odMm = self::positive($node->at('od_mm'), self::MOST_MM);
        $wallMm = self::positive($node->at('wall_mm'), self::MOST_MM);
        if ($node->at('od_mm')->isAbove(0) && $wallMm >= $odMm / 2) {
            $node->at('wall_mm')->complain('too-thick', 'must be less than half the outside, or the wall fills the tube');
        }
        $airC = self::celsius($air->at('ambient_c'));
        $sides = array_map(self::side(...), $root->at('sides')->items(2));
        if (count($sides) !== 2) {
            $root->at('sides')->complain('not-two', 'must be two: the tube on either side of the seam');
        } elseif ($sides[0]->lengthMm + $sides[1]->lengthMm <= 0.0) {
            $root->at('sides')->complain('no-tube', 'must leave some tube on one side of the seam at least');
        }
        $inside = $air->at('inside_w_m2k')->isMissing() ? $root->at('inside_w_m2k') : $air->at('inside_w_m2k');

        return new HotTube(
            $odMm,
            $wallMm,
            self::positive($metal->at('density_kg_m3')),
            self::property($metal->at('specific_heat_j_kgk')),
            self::property($metal->at('conductivity_w_mk')),
            ProblemNumbers::within($metal->at('emissivity'), 0, 1),
            [$sides[0] ?? new TubeSide(1.0, TubeEnd::bare()), $sides[1] ?? new TubeSide(1.0, TubeEnd::bare())],
            self::film($air),
            $airC,
            $inside->isMissing() ? 0.0 : ProblemNumbers::within($inside, 0, self::MOST),
            $root->at('start_c')->isMissing() ? $airC : self::celsius($root->at('start_c')),
        );
    }

    private static function side(Node $node): TubeSide
    {
        $lengthMm = ProblemNumbers::within($node->at('length_mm'), 0, self::MOST_MM);

        return new TubeSide($lengthMm, self::end($node->at('end')));
    }

    private static function end(Node $node): TubeEnd
    {
        $kind = $node->at('kind')->text('', 40);
        $contact = $node->at('contact_w_k')->isMissing() ? null : self::positive($node->at('contact_w_k'));
        if ($kind === 'mass') {
            $hasPlate = ! $node->at('plate_w_k')->isMissing() && ! $node->at('plate_c')->isMissing();

            return TubeEnd::mass(
                self::positive($node->at('mass_kg')),
                ProblemNumbers::within($node->at('area_mm2'), 0, self::MOST),
                $contact,
                $hasPlate ? self::positive($node->at('plate_w_k')) : null,
                $hasPlate ? self::celsius($node->at('plate_c')) : null,
                $node->at('specific_heat_j_kgk')->isMissing() ? null : self::property($node->at('specific_heat_j_kgk')),
                $node->at('emissivity')->isMissing() ? null : ProblemNumbers::within($node->at('emissivity'), 0, 1),
            );
        }
        if ($kind === 'plate') {
            return TubeEnd::plate(self::celsius($node->at('plate_c')), $contact);
        }
        if ($kind !== 'bare') {
            $node->at('kind')->complain('unknown-choice', 'must be one of bare, mass, plate');
        }

        return TubeEnd::bare();
    }

    private static function film(Node $air): Film
    {
        $kind = $air->at('film')->text('', 40);
        if ($kind === 'given') {
            return Film::given(ProblemNumbers::within($air->at('w_m2k'), 0, self::MOST));
        }
        if ($kind === 'fan') {
            return Film::fan(self::positive($air->at('m_per_s')));
        }
        if ($kind !== 'still') {
            $air->at('film')->complain('unknown-choice', 'must be one of still, fan, given');
        }

        return Film::still();
    }

    private static function heat(Node $node, HotTube $tube): ArcHeat
    {
        $amps = self::positive($node->at('amps'));
        $volts = $node->at('volts')->isAbove(-INF) ? self::positive($node->at('volts')) : ArcHeat::volts($amps);
        if (! $node->at('volts')->isAbove(-INF) && $node->at('volts')->text('', 40) !== 'rule') {
            $node->at('volts')->complain('unknown-choice', 'must be a number of volts, or rule');
        }
        $efficiency = self::positive($node->at('efficiency'));
        if ($efficiency > 1.0) {
            $node->at('efficiency')->complain('out-of-range', 'must not be more than 1');
        }
        $runs = $node->at('runs')->number(self::MOST);
        if ($runs < 1.0 || $runs > self::MOST_RUNS || floor($runs) !== $runs) {
            $node->at('runs')->complain('not-a-count', 'must be a whole number from 1 to '.self::MOST_RUNS);
        }

        return new ArcHeat(
            $efficiency * $volts * $amps,
            60 * $tube->seamMm() / self::positive($node->at('travel_mm_min')),
            max(1, (int) min($runs, self::MOST_RUNS)),
            ProblemNumbers::within($node->at('stop_s'), 0, self::MOST),
            self::positive($node->at('bead_mm'), self::MOST_MM),
        );
    }

    /** @return list<float> */
    private static function limits(Node $node, float $airC): array
    {
        return self::each($node, static function (Node $one) use ($airC): float {
            $limitC = $one->number(self::MOST_C);
            if ($one->isAbove(-INF) && $limitC <= $airC) {
                $one->complain('not-above-ambient', 'must be above the air, which nothing cools below');
            }

            return $limitC;
        });
    }

    /** @return array{int, float} */
    private static function distance(Node $node, HotTube $tube): array
    {
        $side = $node->at('side')->number();
        $mm = ProblemNumbers::within($node->at('mm'), 0, self::MOST_MM);
        $isSide = $side === 0.0 || $side === 1.0;
        if (! $isSide) {
            $node->at('side')->complain('unknown-choice', 'must be 0 or 1');
        }
        if ($isSide && $mm > $tube->sides[$side === 1.0 ? 1 : 0]->lengthMm) {
            $node->at('mm')->complain('beyond-the-tube', 'must not lie beyond the end of the tube');
        }

        return [$side === 1.0 ? 1 : 0, $mm];
    }

    /** A number, or a table of [°C, value] in ascending order. */
    private static function property(Node $node): Property
    {
        if ($node->isAbove(-INF) || $node->isMissing()) {
            return Property::constant(self::positive($node));
        }
        $table = [];
        foreach ($node->items(self::MOST_PLACES) as $one) {
            $pair = $one->items(2);
            if (count($pair) !== 2) {
                $one->complain('not-a-pair', 'must be a temperature in °C and a value');

                continue;
            }
            $celsius = $pair[0]->number(1e5);
            if ($table !== [] && $celsius <= $table[count($table) - 1][0]) {
                $pair[0]->complain('not-ascending', 'must be above the temperature before it');
            }
            $table[] = [$celsius, self::positive($pair[1])];
        }
        if ($table === []) {
            $node->complain('none', 'must be a number above 0, or have at least one place');
        }

        return $table === [] ? Property::constant(1.0) : new Property($table);
    }

    /**
     * @template T
     *
     * @param  \Closure(Node): T  $one
     * @return list<T>
     */
    private static function each(Node $node, \Closure $one): array
    {
        return $node->isMissing() ? [] : array_map($one, $node->items(self::MOST_ASKED));
    }

    private static function positive(Node $node, float $most = self::MOST): float
    {
        $value = $node->number($most);
        if ($node->isAbove(-INF) && $value < self::LEAST) {
            $node->complain('not-positive', 'must be more than 0');
        }

        return $value < self::LEAST ? 1.0 : $value;
    }

    private static function celsius(Node $node): float
    {
        return ProblemNumbers::within($node, self::COLDEST_C, self::MOST_C);
    }
}
