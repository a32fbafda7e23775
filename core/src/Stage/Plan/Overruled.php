<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** A proposal that a person, or a customer's procedure, put something else in place of. */
final readonly class Overruled
{
    /** @param  string  $of  letter, mark, joint or name of what it is of; '' where it is of the whole job */
    public function __construct(public string $of, public Figure|Choice $figure, public Override $by) {}

    /** As it is read: what it is of, and its label. */
    public function name(): string
    {
        return $this->of === '' ? $this->figure->label : "$this->of, ".lcfirst($this->figure->label);
    }

    public function proposed(UnitSystem $units): string
    {
        return $this->told($this->figure->proposed, $units);
    }

    public function value(UnitSystem $units): string
    {
        return $this->told($this->figure->value, $units);
    }

    private function told(float|string $value, UnitSystem $units): string
    {
        return $this->figure instanceof Figure && is_float($value)
            ? $this->figure->quantity->read($value, $units)
            : (string) $value;
    }
}
