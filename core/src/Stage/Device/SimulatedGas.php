<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\Bottle;

/** A flowmeter, or the gauge of the bottle behind it, as stand-ins: contents go with the absolute pressure. */
final readonly class SimulatedGas implements Device
{
    /** A ball in its tube dances by such a share at most; our own figure. */
    private const NOISE = 0.015;

    public const FLOW = 'flow';

    /** @param  ?Bottle  $bottle  whose gauge is read; null for the flow */
    public function __construct(private float $flowLMin, private ?Bottle $bottle, private ?Noise $noise) {}

    public function name(): string
    {
        return $this->bottle === null ? self::FLOW : 'pressure';
    }

    public function label(): string
    {
        return $this->bottle === null ? 'Flow' : $this->bottle->name;
    }

    public function quantity(): Quantity
    {
        return $this->bottle === null ? Quantity::Flow : Quantity::Pressure;
    }

    public function at(float $seconds): float
    {
        if ($this->bottle === null) {
            return $this->flowLMin * (1 + self::NOISE * ($this->noise?->at($seconds) ?? 0.0));
        }

        return $this->bottle->drawn($this->flowLMin * max(0.0, $seconds) / 60)->gaugeKpa;
    }
}
