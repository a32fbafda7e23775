<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

/** One size of tube and the bends that it is stocked in, least radius first. */
final readonly class TubeStock
{
    /** @var non-empty-list<StockBend> */
    public array $bends;

    /** @param  non-empty-list<StockBend>  $bends */
    public function __construct(public string $name, public float $odMm, array $bends)
    {
        usort($bends, static fn (StockBend $a, StockBend $b): int => $a->radiusMm <=> $b->radiusMm);
        $this->bends = $bends;
    }

    /** Gives the stocked bend of a radius, or null. */
    public function bend(float $radiusMm): ?StockBend
    {
        foreach ($this->bends as $bend) {
            if (abs($bend->radiusMm - $radiusMm) < 1e-6) {
                return $bend;
            }
        }

        return null;
    }
}
