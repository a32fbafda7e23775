<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

/**
 * Working current for a joint in stainless, common practice: amps per thousandth of the thinner wall, times one factor.
 *
 * Unequal walls: 1 + 0.25·ln(thick/thin), at most 1.5. In a fillet or slip at least 1.15. Never both. So a thicker wall
 * on either side never asks for less.
 */
final readonly class Amperage
{
    /** By how much the thicker of two walls calls for more, for the logarithm of their ratio; common practice. */
    private const UNEQUAL = 0.25;

    private const MM_PER_THOU = 0.0254;

    /** The dial is set in fives. */
    private const STEP_A = 5.0;

    private const MOST_UNEQUAL = 1.5;

    private const EQUAL_FILLET = 1.15;

    /** Of a butt's amps in the same wall, for a seal inside a flange; from memory. */
    private const SEAL = 0.65;

    public const WORKING_SPREAD = 0.15;

    public const PEDAL = 1.10;

    public static function factor(JointType $type, float $wallMm, float $otherWallMm): float
    {
        if ($type === JointType::FlangeSeal) {
            return self::SEAL;
        }
        if ($type->isAutogenous() || $type === JointType::Tab) {
            return 1.0;
        }
        $ratio = max($wallMm, $otherWallMm) / min($wallMm, $otherWallMm);
        $unequal = min(self::MOST_UNEQUAL, 1 + self::UNEQUAL * log($ratio));

        return $type->isFillet() ? max(self::EQUAL_FILLET, $unequal) : $unequal;
    }

    /** Working current in A before it is rounded to the dial. */
    public static function workingA(
        JointType $type,
        float $wallMm,
        float $otherWallMm,
        float $ampsPerThou,
        Pass $pass = Pass::Only,
    ): float {
        $thinMm = $pass->wallMm(min($wallMm, $otherWallMm));
        $factor = self::factor($type, $thinMm, max($wallMm, $otherWallMm));

        return $ampsPerThou * $thinMm / self::MM_PER_THOU * $factor;
    }

    public static function figure(Joint $joint, ShopRules $rules, Pass $pass = Pass::Only): Figure
    {
        $rule = $rules->get('weld.amps_per_thou');
        $exactA = self::workingA($joint->type, $joint->between->wallMm, $joint->and->wallMm, $rule->value, $pass)
            * (Preheat::isNeeded($joint) ? Preheat::AMPS : 1.0);
        $factor = self::factor($joint->type, $pass->wallMm($joint->thinnerMm()), $joint->thickerMm());

        return Figure::of(
            $pass === Pass::Root ? "weld.$joint->id.rootAmps" : "weld.$joint->id.amps",
            match ($pass) {
                Pass::Only => 'Amps',
                Pass::Root => 'Amps, root pass',
                Pass::Fill => 'Amps, fill and cap',
            },
            Quantity::Current,
            self::onDial($exactA),
            new Reason(
                match (true) {
                    $pass === Pass::Root => 'The root runs on a thin land: no more than for the wall that one run melts through.',
                    $pass === Pass::Fill => 'Fill and cap run on what is welded already: no more than for the layer they melt into.',
                    $joint->type === JointType::FlangeSeal => 'Two thirds of a butt’s amps in the tube’s wall: the seal is fused with little heat.',
                    $joint->type->isAutogenous() => 'Amps for the tube’s wall alone: the seam is fused with little heat.',
                    $joint->type === JointType::Tab => 'Amps for the thinner wall and no more: a tab is washed onto the tube, not through it.',
                    $factor === 1.0 => 'Amps for a full-penetration butt in this wall.',
                    $factor === self::EQUAL_FILLET => 'Amps for the thinner wall, and 15 % more for a fillet.',
                    default => 'Amps for the thinner wall, more because the thicker side draws heat: 1 + 0.25·ln(thick/thin), at most 1.5.',
                },
                [
                    Input::of('Thinner wall', Quantity::Wall, $joint->thinnerMm()),
                    Input::of('Thicker wall', Quantity::Wall, $joint->thickerMm()),
                    ...$pass === Pass::Only
                        ? []
                        : [Input::of('Wall it is for', Quantity::Wall, $pass->wallMm($joint->thinnerMm()))],
                    $rule->asInput(),
                    Input::of('Factor', Quantity::Ratio, $factor),
                    Input::word('Before rounding to 5 A', sprintf('%.1f A', $exactA)),
                ],
                $rule->source,
                Preheat::isNeeded($joint)
                    ? 'The shop’s amps per thousandth, or the walls; 5 % less already, as the cast side is preheated.'
                    : 'The shop’s amps per thousandth, the walls, or a preheated side (5 % less).',
            ),
        );
    }

    /** The pedal's top: a tenth above the working current. */
    public static function pedal(Figure $working, string $jointId): Figure
    {
        return Figure::of(
            "weld.$jointId.pedal",
            'Pedal maximum',
            Quantity::Current,
            self::onDial($working->value * self::PEDAL),
            new Reason(
                'A tenth above the working current, so the pedal has something in hand.',
                [Input::of('Amps', Quantity::Current, $working->value)],
                Source::trade(),
                'A machine with a thumbwheel or a trigger takes the working current itself.',
            ),
        );
    }

    /** @return array{float, float} least and most working current (A) */
    public static function working(Figure $amps): array
    {
        return [
            self::onDial($amps->value * (1 - self::WORKING_SPREAD)),
            self::onDial($amps->value * (1 + self::WORKING_SPREAD)),
        ];
    }

    /** Rounded to the dial: steps of 5 A. */
    public static function onDial(float $amps): float
    {
        return max(self::STEP_A, self::STEP_A * round($amps / self::STEP_A));
    }
}
