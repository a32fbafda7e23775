<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** One thing a rule was fed with: a number with its kind, or a word. */
final readonly class Input
{
    private function __construct(
        public string $label,
        private ?Quantity $quantity,
        private float $value,
        private string $word,
    ) {}

    /** A value in the base unit of its quantity (mm, °, A, s, L, kg). */
    public static function of(string $label, Quantity $quantity, float $value): self
    {
        return new self($label, $quantity, $value, '');
    }

    public static function word(string $label, string $word): self
    {
        return new self($label, null, 0.0, $word);
    }

    public function text(UnitSystem $units): string
    {
        return $this->quantity?->show($this->value, $units) ?? $this->word;
    }
}
