<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Run\RouteRow;

/** Reads what is put on a run that grows, as it is read off the metal. */
final readonly class GrowthReader
{
    /** Nobody asks for more room than this (mm) round an outlet. */
    private const MOST_CLEAR_MM = 500.0;

    public function __construct(private UnitSystem $units, private float $odMm) {}

    /** @return array{clrMm: float, angleDeg: float, turn: Turn, beforeMm: float|null, afterMm: float|null, pieWelds: int} */
    public function bend(Node $node): array
    {
        $clrMm = $node->at('clr')->length($this->units)->mm;

        return [
            'clrMm' => $clrMm,
            'angleDeg' => $this->angle($node, $clrMm),
            'turn' => $this->turn($node),
            'beforeMm' => $this->leg($node->at('before')),
            'afterMm' => $this->leg($node->at('after')),
            'pieWelds' => $this->pieWelds($node->at('wedges')),
        ];
    }

    /** @return array{way: Vector, clearMm: float} which way an outlet is to point, and how clear it is to stay */
    public function aim(Node $node): array
    {
        $clear = $node->at('clear');
        $clearMm = $clear->isMissing() || $clear->isBlank() ? 0.0 : $clear->length($this->units)->mm;
        if ($clearMm < 0.0 || $clearMm > self::MOST_CLEAR_MM) {
            $clear->complain('out-of-range', sprintf(
                'must lie between 0 and %s',
                Quantity::Length->show(self::MOST_CLEAR_MM, $this->units),
            ));
        }

        return [
            'way' => Aiming::way(
                $node->at('toward')->quantity(Quantity::Angle, $this->units, 360),
                $node->at('falls')->quantity(Quantity::Angle, $this->units, 90),
            ),
            'clearMm' => $clearMm,
        ];
    }

    /**
     * In degrees, by two marks along the bend (on its outside, its inside or its side), or by a straight-edge along the
     * tube before it: two distances from it to the tube behind differ by how far apart they are times the tangent.
     */
    private function angle(Node $node, float $clrMm): float
    {
        $by = $node->at('angleBy')->text('degrees', 20);
        if ($by === 'degrees') {
            $deg = $node->at('angle')->quantity(Quantity::Angle, $this->units, 360);
        } elseif ($by === 'edge') {
            $apartMm = $node->at('apart')->length($this->units)->mm;
            $moreMm = $node->at('second')->length($this->units)->mm - $node->at('angle')->length($this->units)->mm;
            if ($apartMm <= 0.0) {
                $node->at('apart')->complain('out-of-range', 'must be more than nothing');

                return 0.0;
            }
            $deg = rad2deg(atan(abs($moreMm) / $apartMm));
        } else {
            $radiusMm = match ($by) {
                'outside' => $clrMm + $this->odMm / 2,
                'inside' => $clrMm - $this->odMm / 2,
                'side' => $clrMm,
                default => 0.0,
            };
            if ($radiusMm <= 0.0) {
                $node->at('angleBy')->complain('unknown-choice', 'must be degrees, outside, inside, side or edge');

                return 0.0;
            }
            $deg = rad2deg($node->at('angle')->length($this->units)->mm / $radiusMm);
        }
        if ($deg < 1.0 || $deg > 180.0) {
            $node->at('angle')->complain(
                'out-of-range',
                sprintf('must come to between 1° and 180°; it comes to %.1f°', $deg),
            );
        }

        return $deg;
    }

    private function turn(Node $node): Turn
    {
        $at = $node->at('turn');
        $deg = fn (float $most): float => $at->quantity(Quantity::Angle, $this->units, $most);

        return match ($node->at('turnBy')->choice(TurnBy::class, TurnBy::Degrees)) {
            TurnBy::Degrees => Turn::byDeg($deg(360.0)),
            TurnBy::Marks => Turn::byMarks($at->length($this->units)->mm),
            TurnBy::Clock => Turn::byClock($this->hour($at)),
            TurnBy::Fall => Turn::byFall(
                $deg(90.0),
                ! $node->at('isLeft')->isMissing() && $node->at('isLeft')->boolean(),
            ),
        };
    }

    /** "4" or "4:30". */
    private function hour(Node $node): float
    {
        $hour = 0.0;
        if (preg_match('/^(\d{1,2})(?::([0-5]\d))?$/', $node->asWritten(), $found) === 1) {
            $hour = (float) $found[1] + (float) ($found[2] ?? 0) / 60;
        }
        if ($hour < 1.0 || $hour >= 13.0) {
            $node->complain('not-an-hour', 'must be an hour from 1 to 12, such as 4 or 4:30');
        }

        return $hour;
    }

    private function pieWelds(Node $node): int
    {
        if ($node->isMissing() || $node->isBlank()) {
            return 0;
        }
        $welds = $node->number();
        if ($welds < 0.0 || $welds > RouteRow::MOST_PIE_WELDS || floor($welds) !== $welds) {
            $node->complain('out-of-range', 'must be a whole number from 1 to '.RouteRow::MOST_PIE_WELDS);

            return 0;
        }

        return (int) $welds;
    }

    private function leg(Node $node): ?float
    {
        return $node->isMissing() || $node->isBlank() ? null : $node->length($this->units)->mm;
    }
}
