<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

/** A stretch of a run in which no joint may lie, so that one piece holds all of it; stations in mm. */
final readonly class NoJointZone
{
    /** @param  list<array{from: float, to: float, link: Link}>  $bends  those in it */
    private function __construct(
        public float $fromMm,
        public float $toMm,
        public array $bends,
        private float $longFromMm,
        private float $longToMm,
    ) {}

    /**
     * The insides of bends and zones; those that overlap are one.
     *
     * @return list<self>
     */
    public static function all(CutRun $run, CutRules $rules): array
    {
        $end = $run->chain->lengthMm;
        $closed = array_map(static fn (array $bend): array => [$bend['from'], $bend['to']], $run->chain->bends());
        foreach ($run->noJoint as [$from, $to]) {
            if (min($to, $end) > $from) {
                $closed[] = [$from, min($to, $end)];
            }
        }
        sort($closed);
        $merged = [];
        foreach ($closed as [$from, $to]) {
            $last = count($merged) - 1;
            if ($last >= 0 && $from < $merged[$last][1] - 1e-9) {
                $merged[$last][1] = max($merged[$last][1], $to);
            } else {
                $merged[] = [$from, $to];
            }
        }

        return array_map(static fn (array $one): self => new self(
            $one[0],
            $one[1],
            array_values(array_filter(
                $run->chain->bends(),
                static fn (array $bend): bool => $bend['from'] >= $one[0] - 1e-9 && $bend['to'] <= $one[1] + 1e-9,
            )),
            $one[0] <= 0.0 ? $run->firstLongMm : $rules->longStartMm,
            $one[1] >= $end ? $run->lastLongMm : $rules->longEndMm,
        ), $merged);
    }

    /**
     * How much longer some stock would have to be for a piece of this stretch: 0 if one is long enough, infinite if
     * none has the bend at all.
     *
     * @param  list<StockItem>  $stock  of its tube
     */
    public function lackingMm(array $stock): float
    {
        $least = INF;
        foreach ($stock as $item) {
            if ($item->count !== 0) {
                $least = min($least, $this->bends === [] ? $this->straightLacking($item) : $this->bendLacking($item));
            }
        }

        return max(0.0, $least);
    }

    private function straightLacking(StockItem $item): float
    {
        $length = $this->toMm - $this->fromMm;
        $arc = $item->arc();
        if ($arc === null) {
            return $length + $this->longFromMm + $this->longToMm - $item->usableMm();
        }
        // The extra length of one end may lie in the bend.
        $leg = max($item->legsMm());

        return $leg > 0.0 ? $length + min($this->longFromMm, $this->longToMm) - $leg : INF;
    }

    private function bendLacking(StockItem $item): float
    {
        ['from' => $from, 'to' => $to, 'link' => $bend] = $this->bends[0];
        $arc = $item->arc();
        if ($arc === null || ! $arc->hasRadius($bend->clrMm)) {
            return INF;
        }
        [$before, $after] = [$from - $this->fromMm, $this->toMm - $to];
        [$needBefore, $needAfter] = [$before + $this->longFromMm, $after + $this->longToMm];
        $room = $arc->lengthMm - $bend->lengthMm;
        if ($item->kind === StockKind::Donut) {
            return $before > 0.0 || $after > 0.0 ? max($before, $after) : $this->longFromMm + $this->longToMm - $room;
        }
        if ($room < -0.05) {
            return INF;
        }
        [$first, $last] = $item->legsMm();
        if ($room > 0.05 && $before > 0.0 && $after > 0.0) {
            // In too wide a bend only one side has a straight: the shorter one is too much.
            return min($before, $after);
        }
        // What is left of its bend takes extra length as well as a leg does.
        $restBefore = $before > 0.0 ? 0.0 : $room;
        $restAfter = $after > 0.0 ? 0.0 : $room;
        $all = $this->toMm - $this->fromMm + $this->longFromMm + $this->longToMm - $item->chain->lengthMm;
        $least = INF;
        foreach ([[$first, $last], [$last, $first]] as [$legBefore, $legAfter]) {
            $lacking = max($needBefore - $legBefore - $restBefore, $needAfter - $legAfter - $restAfter, $all);
            $least = min($least, $lacking);
        }

        return $least;
    }
}
