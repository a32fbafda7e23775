<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Document\Node;

/** A search that ended without a design: proved to be impossible, with the reasons, or only not found. */
final readonly class SetRefusal
{
    private const MOST_REASONS = 100;

    /** @param  list<Hindrance>  $reasons  empty where nothing is proved */
    public function __construct(public array $reasons, public ?Miss $nearest) {}

    /** Null where the search came to something. */
    public static function of(SetAnswer $answer): ?self
    {
        return $answer->status === SetStatus::Solved ? null : new self($answer->reasons, $answer->nearest);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'reasons' => array_map(static fn (Hindrance $one): array => $one->toArray(), $this->reasons),
            'nearest' => $this->nearest?->toArray(),
        ];
    }

    public static function read(Node $node): self
    {
        return new self(
            array_map(Hindrance::read(...), $node->at('reasons')->items(self::MOST_REASONS)),
            $node->at('nearest')->isMissing() ? null : Miss::read($node->at('nearest')),
        );
    }
}
