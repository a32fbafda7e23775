<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

/** A joint that is tacked or welded already and cannot stay so by a later plan: in what it differs. */
final readonly class JointStanding
{
    /**
     * @param  bool  $isPlanned  whether the later plan still has it
     * @param  list<Difference>  $differences
     * @param  list<string>  $pieces  marks of its pieces that no longer fit
     */
    public function __construct(
        public string $id,
        public string $run,
        public bool $isWelded,
        public bool $isPlanned,
        public array $differences,
        public array $pieces,
    ) {}
}
