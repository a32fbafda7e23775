<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reason;

use UpsweptBead\Core\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Units\UnitSystem;

/** Every value a person put in place of a proposal; survives recomputation because it hangs on the figure's key. */
final readonly class Overrides
{
    /** @param  list<Override>  $all */
    public function __construct(public array $all, private UnitSystem $units) {}

    /** Gives the figure as it counts: the person's value where there is a readable one, the proposal otherwise. */
    public function on(Figure $figure): Figure
    {
        foreach ($this->all as $override) {
            if ($override->figure === $figure->key) {
                try {
                    return $figure->overruledBy($override, $figure->quantity->parse($override->value, $this->units));
                } catch (UnreadableQuantity) {
                    return $figure;
                }
            }
        }

        return $figure;
    }

    public function onChoice(Choice $choice): Choice
    {
        foreach ($this->all as $override) {
            if ($override->figure === $choice->key) {
                return $choice->overruledBy($override);
            }
        }

        return $choice;
    }
}
