<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Flatness;

/** A place on a face where its height is read: mm to the right and up from the middle, looking at the face. */
final readonly class FacePoint
{
    public function __construct(public string $name, public string $label, public float $xMm, public float $yMm) {}
}
