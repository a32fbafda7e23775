<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Made\Outline;

/** What a revision costs beside its own plan: work that was done and counts no longer, and pieces that are lost. */
final readonly class LostWork
{
    /**
     * @param  float  $minutes  of the steps that were done, as they were planned
     * @param  ?float  $stock  money for the lost pieces, each by its share of its stock; null where a price is missing
     */
    private function __construct(public float $minutes, public ?float $stock) {}

    /**
     * @param  array<int, Outline>  $earlier  plans that work was done by, by revision
     * @param  array<int, array<string, StepTime>>  $times  of those, by step
     * @param  array<string, float>  $costs  of one piece of stock, by what it is
     */
    public static function of(MadeWork $work, array $earlier, array $times, array $costs): self
    {
        $minutes = 0.0;
        foreach ($work->keys as $step => $revision) {
            $minutes += $times[$revision][$step]->minutes ?? 0.0;
        }
        $stock = 0.0;
        foreach ($work->pieces as $piece) {
            if ($piece->isLost && $stock !== null) {
                $share = self::share($piece->mark, $earlier[$piece->revision] ?? null, $costs);
                $stock = $share === null ? null : $stock + $share;
            }
        }

        return new self($minutes, $stock);
    }

    /** @param  array<string, float>  $costs */
    private static function share(string $mark, ?Outline $plan, array $costs): ?float
    {
        foreach ($plan->opened ?? [] as $stock) {
            $lengths = [];
            foreach ($stock->pieces as $piece) {
                $lengths[$piece->mark] = $piece->cutLengthMm();
            }
            if (isset($lengths[$mark])) {
                $cost = $costs[$stock->stockId] ?? null;

                return $cost === null ? null : $cost * $lengths[$mark] / array_sum($lengths);
            }
        }

        return null;
    }
}
