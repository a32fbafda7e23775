<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reason;

/** A proposal in words (a filler, a tungsten), its reason, and what a person put in its place if they overruled it. */
final readonly class Choice
{
    private function __construct(
        public string $key,
        public string $label,
        public string $value,
        public string $proposed,
        public Reason $reason,
        public ?Override $override,
    ) {}

    public static function of(string $key, string $label, string $value, Reason $reason): self
    {
        return new self($key, $label, $value, $value, $reason, null);
    }

    public function overruledBy(Override $override): self
    {
        return new self($this->key, $this->label, $override->value, $this->proposed, $this->reason, $override);
    }
}
