<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * How a bend is turned before it is tacked, as it is read off: by marks round the tube, by the clock, or by how the next
 * piece falls. All count clockwise looking with the flow.
 */
final readonly class Turn
{
    private function __construct(private TurnBy $by, private float $value, private bool $isOther) {}

    /** Degrees from the inside of the bend before; of the first bend from straight up. */
    public static function byDeg(float $deg): self
    {
        return new self(TurnBy::Degrees, $deg, false);
    }

    /** From the mark on the inside of the bend before to the mark on the inside of this one, round the tube; mm. */
    public static function byMarks(float $apartMm): self
    {
        return new self(TurnBy::Marks, $apartMm, false);
    }

    /** Which hour the inside of the bend points to; 12 is straight up, of a plumb tube straight forward. */
    public static function byClock(float $hour): self
    {
        return new self(TurnBy::Clock, $hour, false);
    }

    /** How far the tube falls below level behind the bend; minus where it rises. Of both answers the one to that side. */
    public static function byFall(float $deg, bool $isToTheLeft): self
    {
        return new self(TurnBy::Fall, $deg, $isToTheLeft);
    }

    /**
     * @param  Frame  $from  where the bend begins, its reference the inside of the bend before
     * @param  float  $odMm  of the tube
     * @param  float  $angleDeg  of the bend
     *
     * @throws \DomainException if no turn makes the tube fall so
     */
    public function deg(Frame $from, float $odMm, float $angleDeg): float
    {
        return match ($this->by) {
            TurnBy::Degrees => $this->value,
            TurnBy::Marks => rad2deg($this->value / ($odMm / 2)),
            TurnBy::Clock => $from->turnDegTo(self::noon($from)) + 30.0 * $this->value,
            TurnBy::Fall => $this->falling($from, $angleDeg),
        };
    }

    /** Where 12 o'clock is: straight up, of a plumb tube straight forward. */
    private static function noon(Frame $from): Vector
    {
        $up = (new Vector(0.0, 0.0, 1.0))->squareTo($from->forward);

        return $up->length() > 0.1 ? $up : (new Vector(-1.0, 0.0, 0.0))->squareTo($from->forward);
    }

    /**
     * Behind the bend the tube goes cos A · f + sin A · d, d square to f: with d at an angle t from noon its height
     * is cos A · f_z + sin A · n_z · cos t, n the way of noon.
     */
    private function falling(Frame $from, float $angleDeg): float
    {
        $noon = self::noon($from)->unit();
        [$along, $across] = [cos(deg2rad($angleDeg)) * $from->forward->z, sin(deg2rad($angleDeg)) * $noon->z];
        $wanted = -sin(deg2rad($this->value));
        if (abs($wanted - $along) > abs($across) + 1e-9 || abs($across) < 1e-6) {
            $most = rad2deg(asin(max(-1.0, min(1.0, -$along + abs($across)))));
            $least = rad2deg(asin(max(-1.0, min(1.0, -$along - abs($across)))));
            throw new \DomainException(sprintf(
                'However it is turned, behind this bend the tube falls between %.1f° and %.1f°.',
                $least,
                $most,
            ));
        }
        $t = rad2deg(acos(max(-1.0, min(1.0, ($wanted - $along) / $across))));

        return $from->turnDegTo($noon) + ($this->isOther ? -$t : $t);
    }
}
