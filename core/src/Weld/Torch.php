<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

use UpsweptBead\Core\Reason\Choice;
use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Reason\Input;
use UpsweptBead\Core\Reason\Reason;
use UpsweptBead\Core\Reason\Source;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;

/** What is set up on the torch and its gas for one joint. */
final readonly class Torch
{
    private const L_MIN_PER_CFH = 28.316846592 / 60;

    /**
     * Cup number => inside diameter in mm and the flow range in CFH, common practice; a number is a sixteenth of an
     * inch.
     */
    private const CUPS = [8 => [12.7, 15, 20], 10 => [15.9, 20, 25], 12 => [19.0, 25, 30]];

    /** Amps to which a 1/16 in lanthanated tungsten is used. */
    private const SIXTEENTH_TO_A = 110.0;

    /** Amps above which it melts: upper end of its range [AWS A5.12, from memory]. */
    private const SIXTEENTH_MOST_A = 150.0;

    /** Kinematic viscosity of argon at 20 °C (m²/s), from memory; flow above Re ≈ 2000 stirs air in. */
    private const ARGON_NU = 1.3e-5;

    public const TURBULENT_RE = 2000.0;

    public static function tungsten(Figure $pedal, string $jointId): Choice
    {
        return Choice::of(
            "weld.$jointId.tungsten",
            'Tungsten',
            $pedal->value <= self::SIXTEENTH_TO_A ? '1/16 in, 2 % lanthanated' : '3/32 in, 2 % lanthanated',
            new Reason(
                'A sixteenth carries up to about 110 A; a sharp lanthanated point runs well far below its range. Ground lengthwise, 20–30° included.',
                [Input::of('Pedal maximum', Quantity::Current, $pedal->value)],
                Source::trade(),
                'More amps; 3/32 in can be used for all of it.',
            ),
        );
    }

    public static function cup(ShopRules $rules, string $jointId): Figure
    {
        $rule = $rules->get('weld.cup');

        return Figure::of("weld.$jointId.cup", 'Gas lens cup', Quantity::Count, $rule->value, new Reason(
            'A large gas lens cup keeps colour inside the shielded zone; a smaller one only where it does not fit.',
            [$rule->asInput()],
            $rule->source,
            'A neighbour in the way of the cup.',
        ));
    }

    public static function flow(Figure $cup, string $jointId): Figure
    {
        [$boreMm, $least, $most] = self::CUPS[self::nearestCup($cup->value)];
        $flow = (($least + $most) / 2) * self::L_MIN_PER_CFH;

        return Figure::of(
            "weld.$jointId.flow",
            'Torch argon',
            Quantity::Flow,
            $flow,
            new Reason(
                'The middle of the range in use for this cup.',
                [
                    Input::of('Cup', Quantity::Count, $cup->value),
                    Input::of('Least', Quantity::Flow, $least * self::L_MIN_PER_CFH),
                    Input::of('Most', Quantity::Flow, $most * self::L_MIN_PER_CFH),
                    Input::word(
                        'Reynolds number',
                        sprintf('%.0f, stirs in air above about 2000', self::reynolds($flow, $boreMm)),
                    ),
                ],
                Source::trade(),
                'Another cup, a draught, or a long stick-out.',
            ),
        );
    }

    /** Reynolds number in a cup: 4·Q/(π·d·ν). */
    public static function reynolds(float $flowLMin, float $boreMm): float
    {
        return 4 * ($flowLMin / 60_000) / (M_PI * $boreMm / 1000 * self::ARGON_NU);
    }

    public static function boreMm(float $cup): float
    {
        return self::CUPS[self::nearestCup($cup)][0];
    }

    public static function postflow(Figure $amps, ShopRules $rules, string $jointId): Figure
    {
        [$perAmp, $least] = [$rules->get('weld.postflow_per_amp'), $rules->get('weld.postflow_least')];

        return Figure::of(
            "weld.$jointId.postflow",
            'Post-flow',
            Quantity::Duration,
            max($least->value, $perAmp->value * $amps->value),
            new Reason(
                'One second for every ten amps, at least five; the torch stays where it is until it ends.',
                [Input::of('Amps', Quantity::Current, $amps->value), $least->asInput()],
                $perAmp->source,
            ),
        );
    }

    /** @return list<string> what to mind: gas that stirs air in, more current than the tungsten carries */
    public static function warnings(Figure $cup, Figure $flow, Figure $pedal): array
    {
        $warnings = [];
        if (self::reynolds($flow->value, self::boreMm($cup->value)) > self::TURBULENT_RE) {
            $warnings[] = 'This much gas through this cup stirs air in: less flow or a larger cup.';
        }
        if ($pedal->value > self::SIXTEENTH_MOST_A) {
            $warnings[] = 'More than a 1/16 in tungsten carries.';
        }

        return $warnings;
    }

    private static function nearestCup(float $cup): int
    {
        $nearest = 8;
        foreach (array_keys(self::CUPS) as $number) {
            $nearest = abs($number - $cup) < abs($nearest - $cup) ? $number : $nearest;
        }

        return $nearest;
    }
}
