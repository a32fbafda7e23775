<?php

declare(strict_types=1);

namespace App\Print;

use App\Models\Job;
use App\Models\StoreItem;
use App\Workshop\KnownCut;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Labels for the pieces of a job and for offcuts: mark, what it is, and a code that opens it. */
final readonly class Labels
{
    /** @return list<Label> in the order the saw gives the pieces */
    public static function ofJob(Job $job, int $revision, KnownCut $cut): array
    {
        $labels = [];
        foreach ($cut->opened as $stock) {
            foreach ($stock->pieces as $piece) {
                $labels[$piece->mark] = self::piece($job, $revision, $piece, $cut);
            }
        }
        ksort($labels, SORT_NATURAL);

        return array_values($labels);
    }

    /**
     * @param  iterable<StoreItem>  $items
     * @return list<Label>
     */
    public static function ofOffcuts(iterable $items): array
    {
        $labels = [];
        foreach ($items as $item) {
            $labels[] = new Label(
                $item->key,
                'Offcut',
                [(string) $item->stock_id, explode(' of ', $item->name)[0], $item->location],
                self::address('/stores?find='.rawurlencode($item->key)),
                false,
            );
        }

        return $labels;
    }

    private static function piece(Job $job, int $revision, Piece $piece, KnownCut $cut): Label
    {
        $length = static fn (float $mm): string => Quantity::Length->read($mm, $cut->units);
        $span = $piece->span;
        $shape = $piece->isBend()
            ? [
                sprintf('%s, CLR %s', Quantity::Angle->show($piece->angleDeg, $cut->units), $length($piece->clrMm)),
                "legs {$length($span->legBeforeMm)}, {$length($span->legAfterMm)}",
            ]
            : [$piece->pie === null ? 'straight' : "{$piece->pie->welds} welds, of wedges"];

        return new Label(
            $piece->mark,
            "$job->number rev $revision",
            [
                $piece->place->stockId ?? $piece->stockId,
                ...$shape,
                "cut {$length($cut->tape->mm[$piece->mark] ?? $piece->cutLengthMm())}",
                "finished {$length($span->lengthMm())}",
            ],
            self::address("/jobs/$job->id/bench?step=".rawurlencode(StepKind::Prepare->key($piece->mark))),
            true,
        );
    }

    private static function address(string $path): string
    {
        return rtrim(config()->string('app.url'), '/').$path;
    }
}
