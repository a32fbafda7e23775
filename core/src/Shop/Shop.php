<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop;

use UpsweptBead\Core\Stock\Catalogue;

/** All that a plan needs to know beyond the job: rules, catalogue, what is on the shelf, and the bottles. */
final readonly class Shop
{
    /**
     * @param  array<array-key, int>  $shelf  pieces on the shelf by stock id
     * @param  list<Bottle>  $bottles
     */
    public function __construct(
        public string $name,
        public ShopRules $rules,
        public Catalogue $catalogue,
        public array $shelf,
        public array $bottles,
    ) {}

    /** A shop that owns nothing yet and works by common practice. */
    public static function bare(): self
    {
        return new self('Shop', ShopRules::shipped(), Catalogue::shipped(), [], []);
    }

    public function has(string $stockId): int
    {
        return $this->shelf[$stockId] ?? 0;
    }
}
