<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Units\UnitSystem;

/** One way to go on with a piece that is not as it should be: what is done, with which piece or stock, by how much. */
final readonly class Rescue
{
    /**
     * @param  string  $with  the mark of a piece, or a piece of stock
     * @param  float  $amount  mm; degrees where a bend is cut back
     */
    public function __construct(public RescueKind $kind, public string $with, public float $amount) {}

    public function text(UnitSystem $units): string
    {
        $length = $this->kind->quantity()->read($this->amount, $units);

        return match ($this->kind) {
            RescueKind::GoOn => 'Go on: only the extra length for the trial fit is less.',
            RescueKind::SawOff => "Saw $length off its long end.",
            RescueKind::LongerNeighbour => "Cut $this->with longer by $length: the joint moves, the run does not.",
            RescueKind::UseAs => "Use it as $this->with, $length shorter, and cut this one again in its place.",
            RescueKind::CutAgain => "Cut it again, $length, from what is left of $this->with.",
            RescueKind::CutBack => "Cut its bend back by $length.",
            RescueKind::EndsAgain => 'Prepare its ends again, as its step says.',
            RescueKind::Becomes => $this->amount > WrongLength::NEAR_MM
                ? "Use it as $this->with: saw $length off it."
                : "Use it as $this->with.",
            RescueKind::NewStock => "Cut it again, $length, from new $this->with.",
        };
    }
}
