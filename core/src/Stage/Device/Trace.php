<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

use UpsweptBead\Core\Base\Document\Node;

/** What a device read in the course of a step, at even steps of time, in base units (volts as such). */
final readonly class Trace
{
    public const MOST = 6;

    public const MOST_VALUES = 1200;

    /** @param  list<float>  $values */
    public function __construct(
        public string $device,
        public float $everyS,
        public array $values,
        public bool $isSimulated,
    ) {}

    /** Reads it from an entry of the log; what is wrong with it is complained of at its field. */
    public static function read(Node $node): self
    {
        $node->only(['device', 'every', 'values', 'simulated']);
        $every = $node->at('every')->number(3600);
        if ($every <= 0.0) {
            $node->at('every')->complain('not-a-step', 'must be a number of seconds above nought');
        }

        return new self(
            $node->at('device')->required(20),
            $every,
            array_map(
                static fn (Node $one): float => round($one->number(), 2),
                $node->at('values')->items(self::MOST_VALUES),
            ),
            $node->at('simulated')->boolean(),
        );
    }

    /** What went through a flowmeter (L) that read it in L/min; nothing where it is another instrument. */
    public function argonL(): float
    {
        return $this->device === SimulatedGas::FLOW ? array_sum($this->values) * $this->everyS / 60 : 0.0;
    }

    /** @return array{device: string, every: float, values: list<float>, simulated: bool} */
    public function toArray(): array
    {
        return [
            'device' => $this->device,
            'every' => $this->everyS,
            'values' => $this->values,
            'simulated' => $this->isSimulated,
        ];
    }
}
