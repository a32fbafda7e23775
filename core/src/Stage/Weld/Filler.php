<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Stage\Joint\Joint;

/** Which wire, and how thick. A customer's written procedure overrules all of it. */
final readonly class Filler
{
    /**
     * Wire by the thinner wall, both in inches: the wall up to which a wire is taken, and what is taken above.
     * Common practice by gauge; where one gauge ends and the next begins is our own line, the last just under
     * .119.
     */
    private const WIRES = [[0.057, 0.035], [0.082, 0.045], [0.1189, 0.0625]];

    private const THICK_WIRE = 0.09375;

    /** The same walls where wire is sold by the millimetre; sizes of ISO 544, from memory. */
    private const WIRES_MM = [[0.039, 0.8], [0.057, 1.0], [0.082, 1.2], [0.1189, 1.6]];

    private const THICK_WIRE_MM = 2.4;

    public const NONE = 'none';

    /** Where two metals are not to be welded, or nobody knows yet what one of them is. */
    public const REFUSED = 'not to be welded';

    private const NO_ROW = 'Nothing in the table joins this pair: weld it by a written procedure, or put another metal between.';

    /** Pairings that are refused or need a step first, whatever the other side is. */
    private const HELD_BACK = [
        'titanium' => 'Titanium never joins steel, and titanium to titanium needs a procedure of its own; none is proposed here.',
        '303' => '303 carries sulphur and cracks when welded; turn the part from 304L.',
        'unknown-casting' => 'Cast steel and cast iron need different wire: identify the casting by spark, file or chip first.',
    ];

    public static function alloy(Joint $joint, Catalogue $catalogue): Choice
    {
        [$metal, $other] = [$joint->between->metal, $joint->and->metal];
        $metals = [Input::word('Metals', "$metal to $other")];
        $label = 'Filler';
        $key = "weld.$joint->id.filler";
        $held = self::heldBack($joint);
        if ($held !== null) {
            return Choice::of(
                $key,
                $label,
                self::REFUSED,
                new Reason($held, $metals, Source::trade(), 'Another metal for the part.'),
            );
        }
        $row = $catalogue->fillerFor($metal, $other);
        if ($joint->type->isAutogenous() && $metal === $other && ! Preheat::isNeeded($joint)) {
            return Choice::of(
                $key,
                $label,
                self::NONE,
                new Reason(
                    'The inside seal is fused, or nearly dry: little heat, no colour through to the outside.',
                    $metals,
                    Source::trade(),
                ),
            );
        }
        if ($joint->type->isAutogenous() && $row !== null) {
            return Choice::of($key, $label, $row->alloy, new Reason(
                $metal === $other
                    ? 'A casting is never fused dry: it cracks. Feed a little of this.'
                    : 'A seal between unlike metals is never fused dry: what melts together of both is hard and cracks. Feed a little of this.',
                $metals,
                $row->source,
                'The same metal on both sides: then it is fused.',
            ));
        }
        if ($row !== null) {
            $note = $row->note === '' ? '' : " ($row->note)";

            return Choice::of($key, $label, $row->alloy, new Reason(
                "Chosen by the two base metals$note.",
                $metals,
                $row->source,
                'Another metal on either side, or a written procedure.',
            ));
        }

        return Choice::of($key, $label, self::REFUSED, new Reason(
            self::NO_ROW,
            $metals,
            Source::trade(),
            'A written procedure for this pair.',
        ));
    }

    /** Why a pair is not welded whatever the table says; null where it may be. */
    private static function heldBack(Joint $joint): ?string
    {
        foreach (self::HELD_BACK as $held => $why) {
            if (in_array((string) $held, [$joint->between->metal, $joint->and->metal], true)) {
                return $why;
            }
        }

        return null;
    }

    /** The wire's diameter by the thinner wall; never thicker than the wall except to bridge a gap. */
    public static function size(Joint $joint, UnitSystem $units): Figure
    {
        $wall = $joint->thinnerMm() / Length::MM_PER_INCH;
        [$sizes, $wire, $mm] = match ($units) {
            UnitSystem::Inch => [self::WIRES, self::THICK_WIRE, Length::MM_PER_INCH],
            UnitSystem::Metric => [self::WIRES_MM, self::THICK_WIRE_MM, 1.0],
        };
        foreach (array_reverse($sizes) as [$most, $thinner]) {
            $wire = $wall <= $most ? $thinner : $wire;
        }

        return Figure::of("weld.$joint->id.wire", 'Wire', Quantity::TradeSize, $wire * $mm, new Reason(
            'By the thinner wall, and never thicker than it unless a gap has to be bridged.',
            [Input::of('Thinner wall', Quantity::Wall, $joint->thinnerMm())],
            Source::trade(),
            'A gap: the wire must then be at least as thick as the gap.',
        ));
    }

    /**
     * The thinnest and the thickest wire in use for a wall (mm): a size either way, common practice by gauge.
     *
     * @return array{float, float}
     */
    public static function sizes(Joint $joint, UnitSystem $units): array
    {
        $wall = $joint->thinnerMm() / Length::MM_PER_INCH;
        [$sizes, $last, $mm] = match ($units) {
            UnitSystem::Inch => [self::WIRES, self::THICK_WIRE, Length::MM_PER_INCH],
            UnitSystem::Metric => [self::WIRES_MM, self::THICK_WIRE_MM, 1.0],
        };
        $wires = [...array_column($sizes, 1), $last];
        foreach ($sizes as $i => [$most]) {
            if ($wall <= $most) {
                // The thinnest gauge takes one size, each other the one below it as well.
                return [$wires[max(0, $i - 1)] * $mm, $wires[$i] * $mm];
            }
        }

        return [$wires[count($wires) - 2] * $mm, $last * $mm];
    }
}
