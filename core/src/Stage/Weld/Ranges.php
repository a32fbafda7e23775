<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Stock\GasCup;
use UpsweptBead\Core\Stage\Joint\Joint;

/** Between what settings are usual: what is proposed lies in them, and a person who goes beyond knows it. */
final readonly class Ranges
{
    /** Travel with short runs and dabs, in mm/min; common practice. */
    private const TRAVEL = [60.0, 100.0];

    /** Fill and hold flow in CFH; common practice. */
    private const FILL_CFH = [10.0, 20.0];

    private const HOLD_CFH = [3.0, 5.0];

    /** Post-flow observed for each amp (s), least first, and never below the shortest; common practice. */
    private const POSTFLOW = [0.07, 0.1];

    private const LEAST_POSTFLOW_S = 5.0;

    /**
     * @param  Figure  $amps  working current
     * @return array<string, array{Quantity, float, float}> least and most, by setting, in base units
     */
    public static function of(Joint $joint, Figure $amps, GasCup $cup, UnitSystem $units): array
    {
        [$leastA, $mostA] = Amperage::working($amps);
        $litres = static fn (float $cfh): float => $cfh * TorchSettings::L_MIN_PER_CFH;
        [$slow, $fast] = self::TRAVEL;

        return [
            'amps' => [Quantity::Current, $leastA, $mostA],
            'wire' => [Quantity::TradeSize, ...Filler::sizes($joint, $units)],
            'flow' => [Quantity::Flow, $litres($cup->leastCfh), $litres($cup->mostCfh)],
            'stickOut' => [Quantity::Length, $cup->stickOutMm / 2, $cup->longMm],
            'postflow' => [
                Quantity::Duration,
                max(self::LEAST_POSTFLOW_S, self::POSTFLOW[0] * $amps->value),
                max(self::LEAST_POSTFLOW_S + 1, self::POSTFLOW[1] * $amps->value),
            ],
            'travel' => [Quantity::Travel, $slow, $fast],
            'heat' => [Quantity::Heat, Heat::inputKjMm($leastA, $fast), Heat::inputKjMm($mostA, $slow)],
            'fillFlow' => [Quantity::Flow, $litres(self::FILL_CFH[0]), $litres(self::FILL_CFH[1])],
            'holdFlow' => [Quantity::Flow, $litres(self::HOLD_CFH[0]), $litres(self::HOLD_CFH[1])],
        ];
    }
}
