<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use UpsweptBead\Core\Solve\Nest\Problem\Link;
use UpsweptBead\Core\Solve\Nest\Problem\StockItem;
use UpsweptBead\Core\Solve\Nest\Problem\StockKind;

/** One kind of stock as a search sees it: where on its developed centreline a part can lie. Lengths in mm. */
final readonly class Donor
{
    /** Two lengths along a centreline are the same within this. */
    public const SAME_MM = 0.002;

    /** A bend whose arc is this near to that of the stock is all of it, with both legs. */
    public const WHOLE_MM = 0.04;

    public bool $isRing;

    /** From here to there pieces may lie; on a ring once round. */
    public float $fromMm;

    public float $toMm;

    /** Whether its ends are left as they come: a piece that reaches one needs no cut there. */
    public bool $hasFreeEnds;

    /** The bend in it, 0 for what is straight. */
    public float $clrMm;

    public float $arcFromMm;

    public float $arcToMm;

    public function __construct(public int $index, public StockItem $item)
    {
        $this->isRing = $item->kind === StockKind::Donut;
        $this->fromMm = $item->trimMm;
        $this->toMm = $item->chain->lengthMm - $item->trimMm;
        $this->hasFreeEnds = ! $this->isRing && $item->trimMm <= 0.0;
        $bend = $item->chain->bends()[0] ?? null;
        $this->clrMm = $bend['link']->clrMm ?? 0.0;
        $this->arcFromMm = $bend['from'] ?? $item->chain->lengthMm;
        $this->arcToMm = $bend['to'] ?? $item->chain->lengthMm;
    }

    public function lengthMm(): float
    {
        return $this->item->chain->lengthMm;
    }

    /** The straight behind its bend. */
    public function lastLegMm(): float
    {
        return $this->item->chain->lengthMm - $this->arcToMm;
    }

    /** Both straights of it: before the bend and after; of a stick its whole usable length and nothing. */
    public function longestLegMm(): float
    {
        return max(
            min($this->arcFromMm, $this->toMm) - $this->fromMm,
            $this->toMm - max($this->arcToMm, $this->fromMm),
        );
    }

    /**
     * From where to where the start of a part can lie, extra length counted, as far as the shape of the two goes.
     *
     * @return list<array{float, float, bool}> the last: whether the part lies the other way round
     */
    public function ranges(Part $part): array
    {
        $ranges = $part->bend === null ? $this->straightRanges($part, false) : $this->bendRanges($part, false);
        // Turned round it is the same where both sides are.
        $isSame = $part->longFromMm === $part->longToMm && $part->beforeMm === $part->afterMm;
        if ($isSame || ($part->bend === null && $this->clrMm === 0.0)) {
            return $ranges;
        }

        return [
            ...$ranges,
            ...$part->bend === null ? $this->straightRanges($part, true) : $this->bendRanges($part, true),
        ];
    }

    /** @return list<array{float, float, bool}> */
    private function straightRanges(Part $part, bool $reversed): array
    {
        $core = $part->toMm - $part->fromMm;
        $long = $reversed ? $part->longToMm : $part->longFromMm;
        $ranges = [];
        foreach ([[0.0, $this->arcFromMm], [$this->arcToMm, $this->item->chain->lengthMm]] as [$from, $to]) {
            $least = max($from - $long, $this->fromMm);
            $most = min($to - $core - $long, $this->toMm - $part->cutMm);
            if ($to > $from && $least <= $most + 1e-7) {
                $ranges[] = [$least, max($least, $most), $reversed];
            }
        }

        return $ranges;
    }

    /** @return list<array{float, float, bool}> */
    private function bendRanges(Part $part, bool $reversed): array
    {
        $bend = $part->bend;
        if ($bend === null || abs($bend->clrMm - $this->clrMm) > Link::SAME_CLR_MM) {
            return [];
        }
        [$before, $after, $long] = $reversed
            ? [$part->afterMm, $part->beforeMm, $part->longToMm]
            : [$part->beforeMm, $part->afterMm, $part->longFromMm];
        $room = $this->arcToMm - $this->arcFromMm - $bend->lengthMm;
        if ($room < -self::WHOLE_MM || ($before > 0.0 && $after > 0.0 && $room > self::WHOLE_MM)) {
            return [];
        }
        [$least, $most] = match (true) {
            $this->isRing => [0.0, $before > 0.0 || $after > 0.0 ? -1.0 : $this->toMm],
            $before > 0.0 => [$this->arcFromMm - $before - $long, $this->arcFromMm - $before - $long],
            $after > 0.0 => [$this->arcToMm - $bend->lengthMm - $long, $this->arcToMm - $bend->lengthMm - $long],
            default => [
                max($this->arcFromMm - $long, $this->fromMm),
                min($this->arcFromMm + max(0.0, $room) - $long, $this->toMm - $part->cutMm),
            ],
        };
        if ($this->isRing) {
            return $least <= $most ? [[$least, $most, $reversed]] : [];
        }
        $fits = $least >= $this->fromMm - self::SAME_MM && $least + $part->cutMm <= $this->toMm + self::SAME_MM;

        return $fits && $least <= $most + 1e-7 ? [[$least, max($least, $most), $reversed]] : [];
    }
}
