<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** What is seen of places and axes by one kind of reading, and how that changes with them. */
interface Sighting
{
    public function at(Estimate $estimate): Slope;
}
