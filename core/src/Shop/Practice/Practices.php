<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** What a shop works by where the trade has more than one way; a job may do otherwise. */
final readonly class Practices
{
    public function __construct(
        public RootPractice $root = RootPractice::Argon,
        public CoolPractice $cool = CoolPractice::Touch,
        public Saw $saw = Saw::Band,
    ) {}
}
