<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** The most promising of what was offered, by what each is expected to come to. */
final class Pool
{
    /** Of those that come to the same at the same station only so many are kept. */
    private const ALIKE = 2;

    /** @var list<array{float, Growth}> */
    private array $found = [];

    private float $worst = INF;

    public function __construct(private readonly int $width) {}

    /** What comes to as much is not kept. */
    public function worst(): float
    {
        return $this->worst;
    }

    public function offer(float $expected, Growth $growth): void
    {
        $this->found[] = [$expected, $growth];
        if (count($this->found) >= 6 * $this->width) {
            $this->sift();
        }
    }

    /** @return list<PartialCut> */
    public function branches(): array
    {
        $this->sift();

        return array_map(static fn (array $one): PartialCut => $one[1]->branch(), $this->found);
    }

    private function sift(): void
    {
        usort($this->found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $kept = $alike = [];
        foreach ($this->found as $one) {
            $key = (int) ($one[0] * 1000) * 1_000_000 + (int) ($one[1]->part->toMm * 100);
            $alike[$key] = ($alike[$key] ?? 0) + 1;
            if ($alike[$key] <= self::ALIKE) {
                $kept[] = $one;
                if (count($kept) >= $this->width) {
                    $this->worst = $one[0];
                    break;
                }
            }
        }
        $this->found = $kept;
    }
}
