<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

/**
 * What to set on a machine by how it is worked: with a pedal, with a thumbwheel or trigger, or pulsed. Common practice.
 */
final readonly class Machine
{
    /** Peak of a pulse over the working current, and what is left between two, of the peak. */
    private const PEAK = 1.2;

    private const BACKGROUND = 0.35;

    /**
     * @param  float  $amps  working current
     * @param  float  $pedalA  at most
     * @return list<string>
     */
    public static function lines(float $amps, float $pedalA): array
    {
        $peakA = Amperage::onDial(self::PEAK * $amps);

        return [
            sprintf('Pedal: %.0f A at most, up from nothing and back to nothing.', $pedalA),
            sprintf('Thumbwheel or trigger: %.0f A, start and end as low as the machine goes.', $amps),
            sprintf(
                'Pulsed, for a poor fit or a thin edge: 1 to 2 a second, peak %.0f A, %.0f A between, on for 40 to 50 %%.',
                $peakA,
                Amperage::onDial(self::BACKGROUND * $peakA),
            ),
        ];
    }
}
