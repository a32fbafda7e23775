<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Joint\Joint;

/**
 * A joint as it was measured against what may be welded, common practice: gap and mismatch by the thinner wall; and
 * where tacks pull a tube to when its far end stands off. A tack pulls its side short as it cools.
 */
final readonly class FitUp
{
    /** Sizes of wire that are sold (mm), thinnest first. */
    private const WIRES_MM = [0.9, 1.14, 1.6, 2.4];

    /** More tacks on one side than this only heat it up; our own figure. */
    private const MOST_TACKS = 3;

    /** Tacks that pull stand this far apart (degrees), about the side that is to come. */
    private const APART_DEG = 30.0;

    /**
     * @param  list<string>  $lines  what to do, in order
     * @param  list<float>  $tackDeg  where tacks pull it to where it should be; none where it stands there
     */
    private function __construct(public FitVerdict $verdict, public array $lines, public array $tackDeg) {}

    /**
     * @param  float  $gapMm  the widest, all round
     * @param  float  $mismatchMm  by which one wall stands off the other
     * @param  float  $offMm  by which the far end of what was fitted stands off where it should be
     * @param  float  $towardsDeg  the side it should move towards, as on the dial
     * @param  float  $reachMm  from the joint to that far end
     */
    public static function of(
        Joint $joint,
        float $gapMm,
        float $mismatchMm,
        float $offMm,
        float $towardsDeg,
        float $reachMm,
        ShopRules $rules,
        UnitSystem $units,
    ): self {
        $show = static fn (float $mm): string => Quantity::Wall->show($mm, $units);
        $wallMm = $joint->thinnerMm();
        $gap = self::gap($gapMm, $wallMm, $rules);
        $lines = [self::gapLine($gap, $gapMm, $wallMm, $rules, $show)];
        $mostMm = self::mismatchMm($joint, $rules);
        if ($mismatchMm > $mostMm) {
            $lines[] = sprintf(
                'The walls stand %s off each other, %s is allowed: press the end round, or turn the piece until the high sides meet.',
                $show($mismatchMm),
                $show($mostMm),
            );
        }
        [$pull, $tacks, $isTooFar] = $offMm > 0.0
            ? self::pull($joint, $offMm, $towardsDeg, $reachMm, $rules, $show)
            : ['', [], false];
        $isOff = $mismatchMm > $mostMm || $isTooFar;

        return new self(
            $isOff ? FitVerdict::Refit : $gap,
            [...$lines, ...$pull === '' ? [] : [$pull]],
            $tacks,
        );
    }

    /** The widest gap (mm) that wire fills without a note. */
    public static function gapMm(Joint $joint, ShopRules $rules): float
    {
        return $rules->value('fit.gap_wire') / 100 * $joint->thinnerMm();
    }

    /** The most by which the walls may stand off each other, in mm. */
    public static function mismatchMm(Joint $joint, ShopRules $rules): float
    {
        return min($rules->value('fit.mismatch') / 100 * $joint->thinnerMm(), $rules->value('fit.mismatch_most'));
    }

    private static function gap(float $gapMm, float $wallMm, ShopRules $rules): FitVerdict
    {
        return match (true) {
            $gapMm <= $rules->value('fit.gap_free') => FitVerdict::Weld,
            $gapMm <= $rules->value('fit.gap_wire') / 100 * $wallMm => FitVerdict::WithWire,
            $gapMm <= $rules->value('fit.gap_most') / 100 * $wallMm => FitVerdict::WithNote,
            default => FitVerdict::Refit,
        };
    }

    /** @param  callable(float): string  $show */
    private static function gapLine(
        FitVerdict $verdict,
        float $gapMm,
        float $wallMm,
        ShopRules $rules,
        callable $show,
    ): string {
        $wire = $show(self::wireMm($gapMm));

        return match ($verdict) {
            FitVerdict::Weld => 'No gap to speak of: fused, or with the wire of the sheet.',
            FitVerdict::WithWire => "Wire of at least the gap, $wire; pulse, and the wire stays in the puddle.",
            FitVerdict::WithNote => "Wire of $wire, both edges caught before they are bridged; note it with the joint.",
            FitVerdict::Refit => sprintf(
                'A gap of %s is more than the wall of %s lets be filled, %s: cut the piece again, or let in a ring.',
                $show($gapMm),
                $show($wallMm),
                $show($rules->value('fit.gap_most') / 100 * $wallMm),
            ),
        };
    }

    private static function wireMm(float $gapMm): float
    {
        foreach (self::WIRES_MM as $wireMm) {
            if ($wireMm >= $gapMm) {
                return $wireMm;
            }
        }

        return self::WIRES_MM[count(self::WIRES_MM) - 1];
    }

    /**
     * Tipping the tube by an angle closes its joint by that angle times its diameter on the side it tips towards.
     *
     * @param  callable(float): string  $show
     * @return array{string, list<float>, bool} what to do, where to tack, whether tacks cannot do it
     */
    private static function pull(
        Joint $joint,
        float $offMm,
        float $towardsDeg,
        float $reachMm,
        ShopRules $rules,
        callable $show,
    ): array {
        $shortMm = $joint->seam->odMm * $offMm / max($reachMm, $joint->seam->odMm);
        $eachMm = $rules->value('fit.tack_pull') / 100 * $joint->thinnerMm();
        $count = (int) ceil($shortMm / $eachMm - 0.05);
        $side = sprintf('%.0f°', fmod($towardsDeg + 360.0, 360.0));
        if ($count > self::MOST_TACKS) {
            return [
                sprintf(
                    'To bring its end over by that much the joint would have to close by %s at %s, more than tacks pull: dress that side of the cut, or turn the piece.',
                    $show($shortMm),
                    $side,
                ),
                [],
                true,
            ];
        }
        $count = max(1, $count);
        $tacks = array_map(
            static fn (int $i): float => fmod($towardsDeg + ($i - ($count - 1) / 2) * self::APART_DEG + 720.0, 360.0),
            range(0, $count - 1),
        );

        return [
            sprintf(
                '%s at %s: each pulls its side short by about %s as it cools, and %s is wanted. Let it cool, measure, then go on round.',
                $count === 1 ? 'One tack' : "$count tacks",
                $side,
                $show($eachMm),
                $show($shortMm),
            ),
            $tacks,
            false,
        ];
    }
}
