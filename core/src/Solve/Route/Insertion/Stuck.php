<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

/** A tube that can go in neither before nor after the others that are stuck with it, and what is most in its way. */
final readonly class Stuck
{
    /** @param  list<string>  $by  tubes or keep-outs that block its least blocked direction */
    public function __construct(public string $tube, public array $by) {}
}
