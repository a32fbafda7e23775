<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Solve\Route\Search\Hindrance;
use UpsweptBead\Core\Solve\Route\Search\Lack;
use UpsweptBead\Core\Solve\Route\Search\Miss;
use UpsweptBead\Core\Solve\Route\Search\SetRefusal;

/** Puts into words why there is no way; the one place for it, whoever reads it. */
final readonly class RefusalText
{
    public function __construct(private UnitSystem $units) {}

    /** What a constraint of one run would have to give. */
    public function blocked(Blocked $blocked): string
    {
        if ($blocked->constraint === Constraint::Stock) {
            return 'No bend is stocked for this tube.';
        }
        $by = ($blocked->constraint->isAngle() ? Quantity::Angle : Quantity::Length)->show($blocked->by, $this->units);
        $what = match (true) {
            ! $blocked->constraint->isAngle() => "is $by too short",
            $blocked->constraint->isLeastAngle() => "would have to go $by lower",
            default => "would have to go $by higher",
        };

        return ucfirst($blocked->constraint->label()).
            " $what".
            ($blocked->alone ? '; giving way here alone is enough.' : '.');
    }

    /** What keeps one run of a set from having any way, and what would open it. */
    public function hindrance(Hindrance $reason): string
    {
        $by = $reason->what->quantity()->show($reason->amount, $this->units);
        $what = match ($reason->what) {
            Lack::Clearance => "Run $reason->runner has no way past $reason->by: it is too near by $by",
            Lack::Gap => "Runs $reason->runner and $reason->by begin too near each other, by $by",
            Lack::Length => "Run $reason->runner cannot be as short as its target, by $by",
            Lack::Turn, Lack::Bend => "Run $reason->runner has to turn $by more than its bends allow",
        };

        return "$what. What would open it: $reason->opens.";
    }

    /** Why a search for a whole set came to nothing. */
    public function refusal(SetRefusal $refusal): string
    {
        return $refusal->reasons === []
            ? $this->notFound($refusal->nearest)
            : implode(' ', array_map($this->hindrance(...), $refusal->reasons));
    }

    private function notFound(?Miss $near): string
    {
        if ($near === null) {
            return 'Nothing was found, which proves nothing. Try again with more time.';
        }
        $by = Quantity::Length->show($near->byMm, $this->units);
        $runs = "run $near->runner".($near->other === '' || $near->other === $near->runner ? '' : " and $near->other");
        $lacks = match ($near->what) {
            Lack::Clearance, Lack::Gap => 'too near '.($near->other === $near->runner ? 'itself ' : '')."by $by",
            Lack::Length => "off its length by $by",
            Lack::Turn, Lack::Bend => "a bend or a straight off by $by",
        };

        return "Nothing was found, which proves nothing. The nearest miss: $runs, $lacks.";
    }
}
