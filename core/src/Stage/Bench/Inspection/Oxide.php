<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench\Inspection;

/**
 * What colour stainless steel takes in welding, from bright to burnt, with the oxygen (ppm) that the argon behind it
 * had to hold for that.
 *
 * Source: AWS D18.2, the guide to oxide colours inside tube, ten samples; values from memory, names ours.
 */
enum Oxide: string
{
    case Silver = 'silver';
    case PaleStraw = 'pale-straw';
    case Straw = 'straw';
    case Gold = 'gold';
    case Bronze = 'bronze';
    case Purple = 'purple';
    case Blue = 'blue';
    case Grey = 'grey';
    case Brown = 'brown';
    case Black = 'black';

    public function ppm(): float
    {
        return match ($this) {
            self::Silver => 10.0,
            self::PaleStraw => 25.0,
            self::Straw => 50.0,
            self::Gold => 100.0,
            self::Bronze => 200.0,
            self::Purple => 500.0,
            self::Blue => 1000.0,
            self::Grey => 5000.0,
            self::Brown => 12500.0,
            self::Black => 25000.0,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::PaleStraw => 'pale straw',
            self::Black => 'black crust',
            default => $this->value,
        };
    }

    /**
     * Inside: within what the purge was to hold it is fine; up to where welding stops it is cleaned; burnt beyond that
     * it is sugar, and cut out. Our own line between the two.
     *
     * @param  float  $targetPpm  of the purge
     * @param  float  $stopPpm  above which welding stops
     */
    public function inside(float $targetPpm, float $stopPpm): Outcome
    {
        return match (true) {
            $this->ppm() <= $targetPpm => Outcome::Accept,
            $this->ppm() <= $stopPpm => Outcome::Dress,
            default => Outcome::Redo,
        };
    }

    /** Outside, heat tint past bronze is brushed or pickled off: common practice. */
    public function outside(): Outcome
    {
        return $this->ppm() <= self::Bronze->ppm() ? Outcome::Accept : Outcome::Dress;
    }
}
