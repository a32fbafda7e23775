<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Stage\Plan\Plan;

/** The whole of a job for paper, as it stands on the vehicle: every tube, with its joints by their marks. */
final readonly class AssemblySvg
{
    private const WIDE = 680.0;

    private const HIGH = 400.0;

    private const MARGIN = 40.0;

    private const STEPS = 60;

    /** Words nearer to one another than this, on paper, are moved apart. */
    private const APART_X = 30.0;

    private const APART_Y = 10.0;

    public static function of(Plan $plan): string
    {
        $corner = Corner::above(new Vector(0, 0, 1));
        $lines = $marks = [];
        foreach ($plan->layout->runs as $routed) {
            $points = [];
            for ($i = 0; $i <= self::STEPS; $i++) {
                $points[] = $corner->flat($routed->line->frameAt($routed->line->lengthMm * $i / self::STEPS)->at);
            }
            $lines[] = [$points, $routed->tube->odMm];
            foreach ($plan->joints->ofRun($routed->spec->letter) as $joint) {
                $at = $corner->flat($routed->line->frameAt($joint->seam->stationMm)->at);
                // A flange's two passes are one place.
                $key = sprintf('%s %.1f', $joint->run, $joint->seam->stationMm);
                $marks[$key] = [$at, ($marks[$key][1] ?? '') === '' ? $joint->id : "{$marks[$key][1]}, $joint->id"];
            }
        }
        foreach ($plan->layout->placement->collectors->all as $one) {
            for ($i = 0; $i < $one->build->inlets; $i++) {
                $lines[] = [
                    [$corner->flat($one->inlet($i)->at), $corner->flat($one->outlet()->at)],
                    $one->tube()->odMm,
                ];
            }
            $marks[$one->build->letter] = [$corner->flat($one->outlet()->at), $one->build->letter];
        }

        return self::drawn($lines, array_values($marks));
    }

    /**
     * @param  list<array{list<array{float, float}>, float}>  $lines
     * @param  list<array{array{float, float}, string}>  $marks
     */
    private static function drawn(array $lines, array $marks): string
    {
        $all = array_merge([], ...array_column($lines, 0));
        [$scale, $x0, $y0] = Corner::fit($all, self::WIDE, self::HIGH, self::MARGIN);
        $on = static fn (float $x, float $y): array => [$x0 + $scale * $x, $y0 - $scale * $y];
        $parts = Svg::tubes($lines, $on, $scale);
        $words = [];
        foreach ($marks as [$at, $text]) {
            [$x, $y] = $on(...$at);
            $parts[] = Svg::ring($x, $y, 2.5, 1.2);
            $words[] = [$x, self::free($words, $x, $y - 8.0), $text];
        }
        foreach ($words as [$x, $y, $text]) {
            $parts[] = Svg::text(max(24.0, min(self::WIDE - 24.0, $x)), $y, 9.0, $text);
        }

        return Svg::drawing((int) self::WIDE, (int) self::HIGH, $parts);
    }

    /**
     * The height nearest to a wanted one where no other word stands.
     *
     * @param  list<array{float, float, string}>  $words
     */
    private static function free(array $words, float $x, float $wantedY): float
    {
        foreach ([0, -1, 2, -2, 3, -3, 4, -4] as $step) {
            $y = $wantedY + $step * self::APART_Y;
            $isTaken = false;
            foreach ($words as [$otherX, $otherY]) {
                $isTaken = $isTaken
                    || (abs($otherX - $x) < self::APART_X && abs($otherY - $y) < self::APART_Y);
            }
            if (! $isTaken) {
                return $y;
            }
        }

        return $wantedY;
    }
}
