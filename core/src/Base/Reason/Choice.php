<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Reason;

/** A proposal in words (a filler, a tungsten), its reason, and what a person put in its place if they overruled it. */
final readonly class Choice
{
    /** @param  list<Option>  $options  that there are; none where anything may be written */
    private function __construct(
        public string $key,
        public string $label,
        public string $value,
        public string $proposed,
        public Reason $reason,
        public ?Override $override,
        public array $options,
    ) {}

    /** @param  list<Option>  $options */
    public static function of(string $key, string $label, string $value, Reason $reason, array $options = []): self
    {
        return new self($key, $label, $value, $value, $reason, null, $options);
    }

    public function overruledBy(Override $override): self
    {
        return $this->with($override->value, $override);
    }

    /** The same where its options are told elsewhere. */
    public function bare(): self
    {
        return new self($this->key, $this->label, $this->value, $this->proposed, $this->reason, $this->override, []);
    }

    /** The same with a person's value as it is called among the options. */
    public function with(string $value, Override $override): self
    {
        return new self(
            $this->key, $this->label, $value, $this->proposed, $this->reason, $override, $this->options,
        );
    }
}
