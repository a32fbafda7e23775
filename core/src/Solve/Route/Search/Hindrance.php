<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Document\Node;

/** Why a tube has no way: what stands in it, by how much at least, and what change would open it. */
final readonly class Hindrance
{
    /**
     * @param  ?string  $by  the keep-out or the other tube, null if neither is to blame
     * @param  float  $amount  mm, or degrees of a turn
     */
    public function __construct(
        public string $runner,
        public ?string $by,
        public Lack $what,
        public float $amount,
        public string $opens,
    ) {}

    /** @return array{runner: string, by: ?string, what: string, amount: float, opens: string} */
    public function toArray(): array
    {
        return [
            'runner' => $this->runner,
            'by' => $this->by,
            'what' => $this->what->value,
            'amount' => $this->amount,
            'opens' => $this->opens,
        ];
    }

    public static function read(Node $node): self
    {
        return new self(
            $node->at('runner')->required(),
            $node->at('by')->isMissing() ? null : $node->at('by')->required(),
            $node->at('what')->choice(Lack::class, Lack::Clearance),
            $node->at('amount')->number(),
            $node->at('opens')->required(),
        );
    }
}
