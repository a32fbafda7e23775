<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\GasCup;
use UpsweptBead\Core\Stage\Fit\Access\CupFit;

/** What is set up on the torch and its gas for one joint. */
final readonly class TorchSettings
{
    public const L_MIN_PER_CFH = 28.316846592 / 60;

    /** Amps to which a 1/16 in lanthanated tungsten is used. */
    private const SIXTEENTH_TO_A = 110.0;

    private const SIXTEENTH = '1/16 in, 2 % lanthanated';

    private const THREE_32 = '3/32 in, 2 % lanthanated';

    /** Amps above which they melt: upper ends of their ranges [AWS A5.12, from memory]. */
    private const MOST_A = [self::SIXTEENTH => 150.0, self::THREE_32 => 250.0];

    /** Kinematic viscosity of argon at 20 °C (m²/s), from memory; flow above Re ≈ 2000 stirs air in. */
    private const ARGON_NU = 1.3e-5;

    public const TURBULENT_RE = 2000.0;

    public static function tungsten(Figure $pedal, string $jointId): Choice
    {
        return Choice::of(
            "weld.$jointId.tungsten",
            'Tungsten',
            $pedal->value <= self::SIXTEENTH_TO_A ? self::SIXTEENTH : self::THREE_32,
            new Reason(
                'A sixteenth carries up to about 110 A; a sharp lanthanated point runs well far below its range. Ground lengthwise, 20–30° included.',
                [Input::of('Pedal maximum', Quantity::Current, $pedal->value)],
                Source::trade(),
                'More amps; 3/32 in can be used for all of it.',
            ),
        );
    }

    /** @param  ?CupFit  $fit  the largest that gets round the seam where it is welded; null where that is not known */
    public static function cup(ShopRules $rules, string $jointId, ?CupFit $fit): Figure
    {
        $rule = $rules->get('weld.cup');
        $isSmaller = $fit !== null && $fit->cup < $rule->value;
        $inputs = [$rule->asInput()];
        if ($fit !== null) {
            $inputs[] = Input::of('Of the seam it gets to', Quantity::Percent, round(100 * $fit->share));
        }

        return Figure::of(
            "weld.$jointId.cup",
            'Gas lens cup',
            Quantity::Count,
            $isSmaller ? (float) $fit->cup : $rule->value,
            new Reason(
                $isSmaller
                    ? 'The largest that gets round the seam past what stands beside it.'
                    : 'A large gas lens cup keeps colour inside the shielded zone; a smaller one only where it does not fit.',
                $inputs,
                $isSmaller ? Source::geometry() : $rule->source,
                'Welding it before its neighbours stand there, or the shop’s other cups.',
            ),
        );
    }

    public static function stickOut(GasCup $cup, string $jointId, ?CupFit $fit): Figure
    {
        $isLong = $fit !== null && $fit->isLong;

        return Figure::of(
            "weld.$jointId.stickOut",
            'Stick-out',
            Quantity::Length,
            $isLong ? $cup->longMm : $cup->stickOutMm,
            new Reason(
                $isLong
                    ? 'Far out of the cup, which does not get into the corner: with more gas, and only with a gas lens.'
                    : 'As it is used with this cup.',
                [Input::of('Cup', Quantity::Count, $cup->number)],
                $cup->source,
                'Another cup, or a corner it has to go into.',
            ),
        );
    }

    public static function flow(GasCup $cup, string $jointId, ?CupFit $fit): Figure
    {
        $isLong = $fit !== null && $fit->isLong;
        $flow = ($isLong ? $cup->mostCfh : ($cup->leastCfh + $cup->mostCfh) / 2) * self::L_MIN_PER_CFH;

        return Figure::of(
            "weld.$jointId.flow",
            'Torch gas',
            Quantity::Flow,
            $flow,
            new Reason(
                $isLong
                    ? 'The top of the range in use for this cup, as the tungsten stands out far.'
                    : 'The middle of the range in use for this cup.',
                [
                    Input::of('Cup', Quantity::Count, $cup->number),
                    Input::of('Least', Quantity::Flow, $cup->leastCfh * self::L_MIN_PER_CFH),
                    Input::of('Most', Quantity::Flow, $cup->mostCfh * self::L_MIN_PER_CFH),
                    Input::word(
                        'Reynolds number',
                        sprintf('%.0f, stirs in air above about 2000', self::reynolds($flow, $cup->boreMm)),
                    ),
                ],
                $cup->source,
                'Another cup, a draught, or a long stick-out.',
            ),
        );
    }

    /** Reynolds number in a cup: 4·Q/(π·d·ν). */
    public static function reynolds(float $flowLMin, float $boreMm): float
    {
        return 4 * ($flowLMin / 60_000) / (M_PI * $boreMm / 1000 * self::ARGON_NU);
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
    public static function warnings(GasCup $cup, Figure $flow, Figure $pedal, Choice $tungsten): array
    {
        $warnings = [];
        if (self::reynolds($flow->value, $cup->boreMm) > self::TURBULENT_RE) {
            $warnings[] = 'This much gas through this cup stirs air in: less flow or a larger cup.';
        }
        if ($pedal->value > (self::MOST_A[$tungsten->value] ?? INF)) {
            $warnings[] = "More than the tungsten carries: $tungsten->value.";
        }

        return $warnings;
    }
}
