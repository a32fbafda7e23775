<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** What a shop works by where the trade has more than one way; a job may do otherwise. */
final readonly class Schools
{
    public function __construct(
        public RootSchool $root = RootSchool::Argon,
        public CoolSchool $cool = CoolSchool::Touch,
        public Saw $saw = Saw::Band,
    ) {}
}
