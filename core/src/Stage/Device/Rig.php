<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;

/** What instruments at a step of the bench would see if all goes as planned; from it the stand-ins read. */
final readonly class Rig
{
    /** An oxygen cell takes so long to follow (s); our own figure. */
    private const CELL_LAG_S = 3.0;

    /**
     * @param  ?BottleUse  $from  which gas flows, if any does
     * @param  list<array{float, float}>  $passes  of a seam that cools: seconds, °C
     */
    private function __construct(
        private ?BottleUse $from,
        private float $flowLMin,
        private float $volumeL,
        private float $trappedL,
        private float $amps,
        private float $runS,
        private float $stopS,
        private int $runs,
        private array $passes,
        private float $airC,
    ) {}

    public static function purge(float $volumeL, float $flowLMin, float $trappedL): self
    {
        return new self(BottleUse::Purge, $flowLMin, $volumeL, $trappedL, 0.0, 0.0, 0.0, 0, [], 0.0);
    }

    /**
     * @param  float  $runS  while the arc is on in each run
     * @param  float  $stopS  between two of them
     */
    public static function arc(float $amps, float $runS, float $stopS, int $runs, float $flowLMin): self
    {
        return new self(BottleUse::Torch, $flowLMin, 0.0, 0.0, $amps, $runS, $stopS, $runs, [], 0.0);
    }

    /** @param  list<array{float, float}>  $passes  seconds from the last of the arc at which it is down to so many °C */
    public static function cooling(array $passes, float $airC): self
    {
        usort($passes, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new self(null, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0, $passes, $airC);
    }

    /**
     * @param  float  $share  of the planned flow that really flows
     * @param  list<Bottle>  $bottles  the shop's
     * @return list<Device> the readings a step asks for first
     */
    public function devices(string $seed, Leak $leak, float $share, array $bottles): array
    {
        $noise = static fn (string $of): Noise => new Noise("$seed $of");
        $flow = $this->flowLMin * $share;
        $gas = [];
        foreach ($this->from === null ? [] : [null, ...$bottles] as $bottle) {
            if ($bottle === null || $bottle->use === $this->from) {
                $gas[] = new SimulatedGas($flow, $bottle, $noise('gas'));
            }
        }

        return match (true) {
            $this->passes !== [] => [new SimulatedThermometer($this->passes, $this->airC, $noise('temperature'))],
            $this->from === BottleUse::Torch => [
                $this->lead(false, $noise('arc')),
                $this->lead(true, $noise('arc')),
                ...$gas,
            ],
            default => [
                new SimulatedOxygenMeter(
                    $this->volumeL, $flow, $this->trappedL, $flow * $leak->share(), self::CELL_LAG_S, $noise('oxygen'),
                ),
                ...$gas,
            ],
        };
    }

    /**
     * When a seam would be down to a temperature by the plan (s from the last of the arc); null where it does not cool.
     */
    public function coolsTo(float $temperatureC): ?float
    {
        return $this->passes === [] || $temperatureC <= $this->airC
            ? null
            : (new SimulatedThermometer($this->passes, $this->airC, null))->reaches($temperatureC);
    }

    /** Argon that flows by the plan (L): until a purge was filled so long, or for a whole seam. */
    public function argonL(float $filledS): float
    {
        $seconds = $this->runs > 0 ? $this->runs * ($this->runS + $this->stopS) : $filledS;

        return $this->flowLMin * $seconds / 60;
    }

    private function lead(bool $isVolts, Noise $noise): SimulatedArc
    {
        return new SimulatedArc($this->amps, $this->runS, $this->stopS, $this->runs, $isVolts, $noise);
    }
}
