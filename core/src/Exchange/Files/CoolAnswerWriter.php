<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Cool\SeamCooling;

/** Answers a cooling problem, and writes the answer in the open format. */
final readonly class CoolAnswerWriter
{
    public const FORMAT = 'cool-answer/1';

    /** @return array<string, mixed> */
    public static function toArray(CoolProblem $problem): array
    {
        $curve = SeamCooling::of(
            $problem->tube,
            $problem->heat,
            $problem->nearMm,
            $problem->limitsC,
            $problem->timesMin,
            $problem->distances,
        );
        $reasons = $below = [];
        foreach ($problem->limitsC as $i => $limitC) {
            $minutes = $curve->belowMin[$i];
            if ($minutes === null) {
                $reasons[] = new WeldRefusal('The seam settles above this: what stands at its end keeps it warm.', "asked.limits_c[$i]", $limitC);
            }
            $below[] = ['limit_c' => $limitC, 'minutes' => round($minutes ?? 0.0, 4)];
        }
        if ($reasons !== []) {
            return self::refused($problem->name, $reasons);
        }
        $rounded = static fn (float $value): float => round($value, 4);

        return [
            'format' => self::FORMAT,
            'case' => $problem->name,
            'status' => 'solved',
            'heat_kj' => $rounded($problem->heat->heatJ() / 1000),
            'peak_near_c' => $rounded($curve->peakC),
            'below' => $below,
            'seam_c' => array_map($rounded, $curve->seamC),
            'rises' => array_map(static fn (array $distance, array $rise): array => [
                'side' => $distance[0],
                'mm' => $distance[1],
                'rise_k' => array_map($rounded, $rise[0]),
                'peak_rise_k' => $rounded($rise[1]),
            ], $problem->distances, $curve->rises),
        ];
    }

    /**
     * @param  list<WeldRefusal>  $reasons
     * @return array<string, mixed>
     */
    public static function refused(string $case, array $reasons): array
    {
        return WeldRefusal::answer(self::FORMAT, $case, $reasons);
    }
}
