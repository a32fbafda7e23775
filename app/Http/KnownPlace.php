<?php

declare(strict_types=1);

namespace App\Http;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Stage\Survey\Surveyed;

/** A place as somebody gives it: three lengths, or the name of a point or end that was measured. */
final readonly class KnownPlace
{
    private function __construct(public Vector $at, public float $mayBeOffMm) {}

    /** Complains at its place where it is neither, and is the datum then. */
    public static function of(Node $node, Surveyed $surveyed, UnitSystem $units): self
    {
        $found = $node->isList() ? null : $surveyed->placeOf($node->asWritten());
        if ($found !== null) {
            return new self($found['at'], $found['mayBeOffMm']);
        }
        if ($node->isList()) {
            return new self(self::typed($node, $units), 0.0);
        }
        $node->complain('not-a-point', 'must be three lengths, rearward; right; up, or a point whose place is known');

        return new self(new Vector(0, 0, 0), 0.0);
    }

    /** Of three lengths alone. */
    public static function typed(Node $node, UnitSystem $units): Vector
    {
        [$x, $y, $z] = Points::read($node, $units);

        return new Vector($x->mm, $y->mm, $z->mm);
    }
}
