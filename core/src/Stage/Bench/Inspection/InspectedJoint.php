<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench\Inspection;

use UpsweptBead\Core\Base\Document\Node;

/** A joint as somebody found it, and what is done about it. */
final readonly class InspectedJoint
{
    /**
     * @param  ?Oxide  $inside  null where nobody can look
     * @param  list<Flaw>  $flaws
     * @param  ?Cause  $cause  null where it is accepted
     */
    public function __construct(
        public Oxide $outside,
        public ?Oxide $inside,
        public array $flaws,
        public ?Cause $cause,
        public Outcome $outcome,
    ) {}

    /** Reads it from an entry of the log; what is wrong with it is complained of at its field. */
    public static function read(Node $node): self
    {
        $node->only(['outside', 'inside', 'flaws', 'cause', 'outcome']);
        $flaws = [];
        foreach ($node->at('flaws')->isMissing() ? [] : $node->at('flaws')->items(count(Flaw::cases())) as $one) {
            $flaws[] = $one->choice(Flaw::class, Flaw::Sugar);
        }
        foreach (['outside', 'outcome'] as $name) {
            if ($node->at($name)->isMissing()) {
                $node->at($name)->complain('missing', 'is missing');
            }
        }
        $found = new self(
            $node->at('outside')->choice(Oxide::class, Oxide::Silver),
            $node->at('inside')->isMissing() ? null : $node->at('inside')->choice(Oxide::class, Oxide::Silver),
            array_values(array_unique($flaws, SORT_REGULAR)),
            $node->at('cause')->isMissing() ? null : $node->at('cause')->choice(Cause::class, Cause::Other),
            $node->at('outcome')->choice(Outcome::class, Outcome::Accept),
        );
        if ($found->cause === null && $found->outcome !== Outcome::Accept) {
            $node->at('cause')->complain('missing', 'is missing: what was the cause?');
        }

        return $found;
    }

    /** @return array{outside: string, inside: ?string, flaws: list<string>, cause: ?string, outcome: string} */
    public function toArray(): array
    {
        return [
            'outside' => $this->outside->value,
            'inside' => $this->inside?->value,
            'flaws' => array_map(static fn (Flaw $one): string => $one->value, $this->flaws),
            'cause' => $this->cause?->value,
            'outcome' => $this->outcome->value,
        ];
    }

    /** In a line of the record. */
    public function text(): string
    {
        return implode(', ', array_filter([
            "outside {$this->outside->label()}",
            $this->inside === null ? 'inside not seen' : "inside {$this->inside->label()}",
            ...array_map(static fn (Flaw $one): string => lcfirst($one->label()), $this->flaws),
        ], static fn (string $part): bool => $part !== ''))
            .': '.$this->outcome->said()
            .($this->cause === null ? '' : '; cause: '.lcfirst($this->cause->label()));
    }
}
