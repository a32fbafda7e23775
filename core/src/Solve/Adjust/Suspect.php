<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** A reading that does not agree with the others. */
final readonly class Suspect
{
    /**
     * @param  string  $id  of the observation
     * @param  float  $w  its residual over the residual's own standard deviation
     * @param  list<string>  $candidates  all that could be the wrong one just as well, itself included
     */
    public function __construct(public string $id, public float $w, public array $candidates) {}
}
