<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Fit\FitUp;
use UpsweptBead\Core\Stage\Joint\Joint;

/** Readings that steps of several kinds ask for, with their limits. */
final readonly class Measured
{
    /** Low pressure: air that bursts a seam throws it. 10 psi, common practice. */
    private const LEAK_TEST_KPA = 68.95;

    /**
     * When a joint is tacked: wider than wire fills without a note, or walls further apart than they may stand, is not
     * gone on with in silence.
     *
     * @return list<Measure>
     */
    public static function fit(Joint $joint, ShopRules $rules): array
    {
        $gap = new Measure('gap', 'Widest gap', Quantity::Wall, 0.0, FitUp::gapMm($joint, $rules));

        return $joint->type->isEdgeToEdge()
            ? [$gap, new Measure('mismatch', 'Mismatch', Quantity::Wall, 0.0, FitUp::mismatchMm($joint, $rules))]
            : [$gap];
    }

    /**
     * How much a butt has pulled its two sides together: between two punch marks across it, before and after.
     *
     * @return list<Measure>
     */
    public static function shrink(?Joint $joint, ShopRules $rules): array
    {
        $butt = $joint?->type->buttKind();

        return $joint === null || $butt === null ? [] : [new Measure(
            'shrink',
            'Shrunk between punch marks',
            Quantity::Wall,
            $butt->shrinkMm($rules, $joint->thinnerMm()),
            rule: $butt->value,
        )];
    }

    public static function leakTest(): Measure
    {
        return new Measure('pressure', 'Leak-test pressure', Quantity::Pressure, null, self::LEAK_TEST_KPA);
    }

    /** What has to be read, and to be no more than its limit, before anybody goes on. */
    public static function limited(string $name, string $label, Quantity $quantity, float $most): Measure
    {
        return new Measure($name, $label, $quantity, $most, $most, true);
    }
}
