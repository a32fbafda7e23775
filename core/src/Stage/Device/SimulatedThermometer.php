<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

use UpsweptBead\Core\Base\Units\Quantity;

/**
 * A contact thermometer beside a seam that cools, as a stand-in: through the moments at which the plan's own cooling
 * model has it down to one temperature after the other, and between them by Newton's law.
 */
final readonly class SimulatedThermometer implements Device
{
    /** A probe by hand is off by so much at most (K); our own figure. */
    private const NOISE_K = 0.8;

    /** Where nothing is known before, it starts from here (°C); our own figure. */
    private const RED_C = 650.0;

    /** Nothing on a bench cools for longer (s). */
    private const LONGEST_S = 86_400.0;

    /**
     * @param  list<array{float, float}>  $passes  seconds from the last of the arc, °C; later ones cooler
     * @param  float  $airC  cooler than all of them
     */
    public function __construct(private array $passes, private float $airC, private ?Noise $noise) {}

    public function name(): string
    {
        return 'temperature';
    }

    public function label(): string
    {
        return 'At the seam';
    }

    public function quantity(): Quantity
    {
        return Quantity::Temperature;
    }

    public function at(float $seconds): float
    {
        return $this->meanC(max(0.0, $seconds)) + self::NOISE_K * ($this->noise?->at($seconds) ?? 0.0);
    }

    /** When it is down to a temperature (s); its curve only falls. */
    public function reaches(float $temperatureC): float
    {
        [$from, $to] = [0.0, 60.0];
        while ($this->meanC($to) > $temperatureC && $to < self::LONGEST_S) {
            $to *= 2;
        }
        while ($to - $from > 0.5) {
            $middle = ($from + $to) / 2;
            [$from, $to] = $this->meanC($middle) > $temperatureC ? [$middle, $to] : [$from, $middle];
        }

        return ($from + $to) / 2;
    }

    private function meanC(float $seconds): float
    {
        $points = array_values(array_filter($this->passes, static fn (array $one): bool => $one[0] > 0.0));
        if ($points === []) {
            return $this->airC;
        }
        // As fast before the first of them as between it and the next, but never above red heat.
        [$a, $b] = [[0.0, self::RED_C], $points[0]];
        if (isset($points[1])) {
            $back = $this->over($points[0][1]) * ($this->over($points[0][1]) / $this->over($points[1][1]))
                ** ($points[0][0] / ($points[1][0] - $points[0][0]));
            $a[1] = min(self::RED_C, $this->airC + $back);
        }
        foreach ($points as $next) {
            $b = $next;
            if ($seconds <= $next[0]) {
                break;
            }
            if ($next !== $points[count($points) - 1]) {
                $a = $next;
            }
        }
        $share = ($seconds - $a[0]) / ($b[0] - $a[0]);

        return $this->airC + $this->over($a[1]) * ($this->over($b[1]) / $this->over($a[1])) ** $share;
    }

    private function over(float $celsius): float
    {
        return max(0.1, $celsius - $this->airC);
    }
}
