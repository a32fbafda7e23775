<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Document\Node;

/** What the nearest miss lacks: the tube, what it is too near to (empty if it is about itself), and by how much. */
final readonly class Miss
{
    public function __construct(public string $runner, public string $other, public Lack $what, public float $byMm) {}

    /** @return array{runner: string, other: string, what: string, byMm: float} */
    public function toArray(): array
    {
        return [
            'runner' => $this->runner, 'other' => $this->other, 'what' => $this->what->value, 'byMm' => $this->byMm,
        ];
    }

    public static function read(Node $node): self
    {
        return new self(
            $node->at('runner')->required(),
            $node->at('other')->text(),
            $node->at('what')->choice(Lack::class, Lack::Clearance),
            $node->at('byMm')->number(),
        );
    }
}
