<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Cut\Rescue;

/** Words for work that a later plan wants changed, in the units of the job. */
final readonly class MadeWords
{
    public function __construct(private UnitSystem $units) {}

    /** @return list<string> what is different, then the ways to go on, each by itself enough */
    public function ofPiece(PieceStanding $piece): array
    {
        $text = fn (Rescue $one): string => $one->text($this->units);
        $work = implode(' ', array_map($text, $piece->work));
        $ways = [...array_map($text, $piece->rescues), ...$work === '' ? [] : [$work]];
        $intro = match (true) {
            $piece->now === null => "$piece->mark is cut already and is not needed any more.",
            $piece->isLost => "$piece->mark is cut already and cannot become this piece: {$this->differences($piece->differences)}.",
            default => "$piece->mark is cut already, for an earlier revision: {$this->differences($piece->differences)}.",
        };

        return [$intro, ...array_slice($ways, 0, 1), ...array_map(
            static fn (string $way): string => "Or: $way",
            array_slice($ways, 1),
        )];
    }

    /** @return list<string> */
    public function ofJoint(JointStanding $joint): array
    {
        $is = $joint->isWelded ? 'welded' : 'tacked';
        $open = $joint->isWelded ? 'Cut the weld out' : 'Break the tacks';
        $why = $joint->pieces === []
            ? $this->differences($joint->differences)
            : implode(', ', $joint->pieces).' must come off';

        return $joint->isPlanned
            ? [
                "$joint->id is $is already, for an earlier revision: $why.",
                "$open and dress both ends before it is fitted again.",
            ]
            : ["$joint->id is $is and is not a joint of this revision any more: ".lcfirst($open).' if its pieces are used elsewhere.'];
    }

    /** @param  list<Difference>  $differences */
    public function differences(array $differences): string
    {
        return implode('; ', array_map($this->difference(...), $differences));
    }

    private function difference(Difference $one): string
    {
        $quantity = $one->kind->quantity();
        if ($quantity === null || $one->then === null || $one->now === null) {
            return $one->kind->label();
        }

        return "{$one->kind->label()} {$quantity->read($one->then, $this->units)}, now {$quantity->read($one->now, $this->units)}";
    }
}
