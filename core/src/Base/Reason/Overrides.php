<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Every value a person put in place of a proposal; survives recomputation because it hangs on the figure's key. */
final readonly class Overrides
{
    /** @param  list<Override>  $all */
    public function __construct(public array $all, private UnitSystem $units) {}

    /** Gives the figure as it counts: the person's value where there is a readable one, the proposal otherwise. */
    public function on(Figure $figure): Figure
    {
        $override = $this->of($figure->key);
        if ($override === null) {
            return $figure;
        }
        try {
            return $figure->overruledBy($override, $figure->quantity->parse($override->value, $this->units));
        } catch (UnreadableQuantity) {
            return $figure;
        }
    }

    /**
     * With what written procedures ask for behind what people put in place themselves.
     *
     * @param  list<Override>  $asked
     */
    public function behind(array $asked): self
    {
        return new self([...$this->all, ...$asked], $this->units);
    }

    /** What a person put in place of a figure, or a procedure did; null where nobody did. */
    public function of(string $figure): ?Override
    {
        foreach ($this->all as $override) {
            if ($override->figure === $figure) {
                return $override;
            }
        }

        return null;
    }

    public function onChoice(Choice $choice): Choice
    {
        $override = $this->of($choice->key);

        return $override === null ? $choice : $choice->overruledBy($override);
    }
}
