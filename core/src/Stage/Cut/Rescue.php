<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/** One way to go on after a wrong cut: what is done, with which piece or stock, and by how much (mm). */
final readonly class Rescue
{
    /** @param  string  $with  the mark of a piece, or a piece of stock */
    public function __construct(public RescueKind $kind, public string $with, public float $mm) {}

    /** @param  string  $length  its amount as a person reads it */
    public function text(string $length): string
    {
        return match ($this->kind) {
            RescueKind::GoOn => 'Go on: only the extra length for the trial fit is less.',
            RescueKind::SawOff => "Saw $length off its long end.",
            RescueKind::LongerNeighbour => "Cut $this->with longer by $length: the joint moves, the run does not.",
            RescueKind::UseAs => "Use it as $this->with, $length shorter, and cut this one again in its place.",
            RescueKind::CutAgain => "Cut it again, $length, from what is left of $this->with.",
            RescueKind::NewStock => "Cut it again, $length, from new $this->with.",
        };
    }
}
