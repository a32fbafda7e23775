<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Vector;

/** A tube that is to be put in whole. */
final readonly class WholeTube
{
    /**
     * @param  Vector  $out  off its port, of length 1
     * @param  Vector  $in  into its inlet, of length 1
     */
    public function __construct(public string $id, public Chords $line, public Vector $out, public Vector $in) {}
}
