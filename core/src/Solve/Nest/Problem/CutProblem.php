<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

/** Runs to be cut out of stock, all together. */
final readonly class CutProblem
{
    /**
     * @param  list<StockItem>  $stock
     * @param  list<CutRun>  $runs
     */
    public function __construct(
        public string $name,
        public array $stock,
        public CutRules $rules,
        public array $runs,
    ) {}

    /** @return list<StockItem> */
    public function stockOf(string $tube): array
    {
        return array_values(array_filter($this->stock, static fn (StockItem $one): bool => $one->tube === $tube));
    }
}
