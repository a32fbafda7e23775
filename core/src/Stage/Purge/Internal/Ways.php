<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge\Internal;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Centreline;

/** How things may be held on a bench, the easiest first: which way up is then, in the axes of the vehicle. */
final readonly class Ways
{
    /** A torch goes into a mouth that looks no further down than this (sine). */
    private const LEAST_UP = -0.3;

    /** In a vise it is turned by steps of this about its first straight, held level. */
    private const TURN_DEG = 30;

    /**
     * One tube from a station of its line to another: as on the vehicle, stood, hung, clamped and turned.
     *
     * @return array<string, Vector>
     */
    public static function ofTube(Centreline $line, float $fromMm, float $toMm): array
    {
        [$start, $end] = [$line->frameAt($fromMm), $line->frameAt($toMm)];
        $ways = [
            '' => new Vector(0, 0, 1),
            'Stand it with its far end straight up.' => $end->forward,
            'Stand it with its start straight up.' => $start->forward->times(-1),
        ];
        $along = $end->at->minus($start->at);
        if ($along->length() > 1e-6) {
            $ways['Stand it so that its far end is right over its start.'] = $along->unit();
        }
        $middle = $line->frameAt(($fromMm + $toMm) / 2)->at;
        $toEnds = $start->at->plus($end->at)->times(0.5)->minus($middle);
        if ($toEnds->length() > 1e-6) {
            $ways['Hang it with its middle down and both ends up.'] = $toEnds->unit();
        }
        for ($deg = 0; $deg < 360; $deg += self::TURN_DEG) {
            // Looking with the flow, the index mark of the start goes round clockwise.
            $ways[sprintf(
                'Clamp it level by its first straight, the start’s mark %d° clockwise from the top, looking with the flow.',
                $deg,
            )] = $start->reference->turnedAbout($start->forward, -$deg);
        }

        return $ways;
    }

    /**
     * Several that are fitted together.
     *
     * @param  list<Vector>  $in  ways of the flow into its first tubes
     * @param  list<Vector>  $out  and out of its last
     * @return array<string, Vector>
     */
    public static function ofSet(array $in, array $out): array
    {
        $ways = ['' => new Vector(0, 0, 1)];
        foreach ([['ports', $in, 1], ['outlet', $out, -1]] as [$what, $some, $sign]) {
            $mean = array_reduce(
                $some,
                static fn (Vector $sum, Vector $one): Vector => $sum->plus($one->times($sign)),
                new Vector(0, 0, 0),
            );
            if ($mean->length() > 1e-3) {
                $ways["Stand it with its $what down."] = $mean->unit();
                $ways["Stand it with its $what up."] = $mean->unit()->times(-1);
            }
        }

        $ways['Turn it over: as on the vehicle, upside down.'] = new Vector(0, 0, -1);
        $ports = $ways['Stand it with its ports down.'] ?? null;
        $upright = $ports === null ? null : (new Vector(0, 0, 1))->minus($ports->times($ports->z));
        if ($ports !== null && $upright !== null && $upright->length() > 0.1) {
            for ($deg = self::TURN_DEG; $deg < 360; $deg += self::TURN_DEG) {
                $ways[sprintf(
                    'Clamp it by its flange, ports level, turned %d° clockwise from how it is on the vehicle, looking with the flow.',
                    $deg,
                )] = $upright->unit()->turnedAbout($ports, -$deg);
            }
        }

        return $ways;
    }

    /**
     * Of some those in which a torch gets into a mouth; held with it straight up it always does.
     *
     * @param  array<string, Vector>  $ways
     * @param  Vector  $out  out of the mouth
     * @return array<string, Vector>
     */
    public static function openTo(array $ways, Vector $out): array
    {
        return [
            ...array_filter($ways, static fn (Vector $up): bool => $up->dot($out) >= self::LEAST_UP),
            'Hold it so that the torch goes in from above.' => $out,
        ];
    }
}
