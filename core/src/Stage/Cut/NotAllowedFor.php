<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * What the butts of a run pull together that no piece is cut longer for, as both sides end in their bends: all behind
 * such a joint comes back by so much, the way the tube goes there.
 */
final readonly class NotAllowedFor
{
    private const NOTHING_MM = 1e-6;

    /**
     * @param  list<string>  $joints  the marks on either side, "A2 to A3"
     * @param  Vector  $farEnd  how far the far end comes off, mm
     */
    private function __construct(public array $joints, public Vector $farEnd) {}

    /** @param  list<Piece>  $pieces  of one run, in order */
    public static function of(RoutedRun $routed, array $pieces, ShopRules $rules): self
    {
        $joints = [];
        $farEnd = new Vector(0, 0, 0);
        $wantedMm = ButtKind::Tubes->shrinkMm($rules, $routed->tube->wallMm);
        for ($i = 1; $i < count($pieces); $i++) {
            [$before, $after] = [$pieces[$i - 1], $pieces[$i]];
            $givenMm = $before->allowances->shrink->value - $before->allowances->shrinkStartMm
                + $after->allowances->shrinkStartMm;
            if ($wantedMm - $givenMm <= self::NOTHING_MM) {
                continue;
            }
            $joints[] = "$before->mark to $after->mark";
            $way = $routed->line->frameAt($before->span->toMm)->forward;
            $farEnd = $farEnd->minus($way->times($wantedMm - $givenMm));
        }

        return new self($joints, $farEnd);
    }
}
