<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Reason\Notice;
use UpsweptBead\Core\Run\Jointing;
use UpsweptBead\Core\Shop\Shop;

/**
 * The second stage: the pieces of every run, which bars and bends all of them together are cut from, and what of that
 * has to be bought. The shelf is counted once for the job, not once for each run.
 */
final readonly class CutPlan
{
    /** A run shorter than this (mm) is not there yet. */
    private const SHORTEST_MM = 1.0;

    /**
     * @param  array<string, list<Piece>>  $pieces  by the letter of each run that can be cut from stock, in order of flow
     * @param  list<Nesting>  $nestings  one for each size of tube
     * @param  list<StockNeed>  $stock
     * @param  list<Notice>  $notices
     */
    private function __construct(
        public array $pieces,
        public array $nestings,
        public array $stock,
        public array $notices,
    ) {}

    public static function of(Job $job, Layout $layout, Shop $shop): self
    {
        $pieces = $byTube = [];
        foreach ($layout->runs as $routed) {
            $spans = Jointing::of($routed->run, $shop->catalogue->bendsFor($routed->tube->id));
            if ($spans !== null && $routed->run->lengthMm() >= self::SHORTEST_MM) {
                $ofRun = Pieces::of($routed, $spans, $job, $shop);
                $pieces[$routed->spec->letter] = $ofRun;
                $byTube[$routed->tube->id] = [...$byTube[$routed->tube->id] ?? [], ...$ofRun];
            }
        }
        $nestings = array_map(
            static fn (string $id, array $all): Nesting => Nesting::of($id, $all, $shop->rules),
            array_map(strval(...), array_keys($byTube)),
            $byTube,
        );

        return new self($pieces, $nestings, StockNeed::all($nestings, $shop), [
            ...self::tooLong($layout, $nestings),
            ...self::bentIn($layout, $pieces),
        ]);
    }

    /** @return list<Piece> */
    public function piecesOf(string $letter): array
    {
        return $this->pieces[$letter] ?? [];
    }

    public function massKg(string $letter): float
    {
        return array_sum(array_map(static fn (Piece $piece): float => $piece->massKg, $this->piecesOf($letter)));
    }

    public function totalKg(): float
    {
        return array_sum(array_map($this->massKg(...), array_keys($this->pieces)));
    }

    public function toBuy(): int
    {
        return array_sum(array_map(static fn (StockNeed $need): int => $need->toBuy(), $this->stock));
    }

    /**
     * @param  list<Nesting>  $nestings
     * @return list<Notice>
     */
    private static function tooLong(Layout $layout, array $nestings): array
    {
        $notices = [];
        foreach ($nestings as $nesting) {
            foreach ($nesting->tooLong as $piece) {
                $notices[] = Notice::problem(
                    "{$layout->run($piece->run)?->path}.route",
                    "Piece $piece->mark is longer than the tube comes; it needs a joint or longer stock.",
                );
            }
        }

        return $notices;
    }

    /**
     * @param  array<string, list<Piece>>  $pieces
     * @return list<Notice>
     */
    private static function bentIn(Layout $layout, array $pieces): array
    {
        $notices = [];
        foreach ($pieces as $letter => $ofRun) {
            $last = $ofRun[count($ofRun) - 1];
            if ($last->allowances->slip->value > 0.0 && $last->endsInBend()) {
                $notices[] = Notice::caution(
                    "{$layout->run($letter)?->path}.route.endStraight",
                    "Piece $last->mark ends in its bend, so nothing straight goes into the inlet. Keep a straight end on the run.",
                );
            }
        }

        return $notices;
    }
}
