<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut\Problem;

/**
 * What of a problem no plan of cuts can meet, each with its place and amount. Nothing found here is a proof of the
 * opposite: a plan may still not be there.
 */
final readonly class Impossible
{
    /** A place counts as met within this (mm). */
    private const WITHIN_MM = 0.05;

    private function __construct(private CutProblem $problem) {}

    /** @return list<Refusal> */
    public static function in(CutProblem $problem): array
    {
        $self = new self($problem);
        $found = [];
        foreach ($problem->runs as $i => $run) {
            array_push(
                $found,
                ...$self->bends($run, "runs[$i]"),
                ...$self->joints($run, "runs[$i]"),
                ...$self->pieces($run, "runs[$i]"),
                ...$self->straights($run, "runs[$i]"),
            );
        }

        return $found === [] ? $self->shelf() : $found;
    }

    /** @return list<Refusal> bends that no stock of their tube reaches */
    private function bends(CutRun $run, string $path): array
    {
        $found = [];
        $stock = $this->problem->stockOf($run->tube);
        foreach ($run->chain->bends() as ['link' => $bend]) {
            $angles = [];
            foreach ($stock as $item) {
                $arc = $item->arc();
                if ($arc !== null && $item->count !== 0 && abs($arc->clrMm - $bend->clrMm) <= self::WITHIN_MM) {
                    $angles[] = $arc->angleDeg;
                }
            }
            if ($angles === []) {
                $field = "$path.elements[$bend->element].clr";
                $found[] = new Refusal('no bend of this tube in stock has this radius', $field);
            } elseif (max($angles) < $bend->angleDeg - 1e-6) {
                $field = "$path.elements[$bend->element].bend";
                $by = $bend->angleDeg - max($angles);
                $found[] = new Refusal('no bend in stock reaches this angle', $field, $by);
            }
        }

        return $found;
    }

    /** @return list<Refusal> joints asked for where none can be */
    private function joints(CutRun $run, string $path): array
    {
        $found = [];
        foreach ($run->joints as $k => $at) {
            $field = "$path.joints[$k]";
            $outside = max(-$at, $at - $run->chain->lengthMm);
            if ($outside >= 0.0) {
                $found[] = new Refusal('a joint lies inside its run, not at its end', $field, $outside);
            }
            foreach ($run->chain->bends() as ['from' => $from, 'to' => $to]) {
                $by = min($at - $from, $to - $at);
                if ($by > self::WITHIN_MM) {
                    $found[] = new Refusal('a joint is asked for inside a bend', $field, $by);
                }
            }
            foreach ($run->noJoint as [$from, $to]) {
                $by = min($at - $from, $to - $at);
                if ($by > self::WITHIN_MM) {
                    $found[] = new Refusal('a joint is asked for where there may be none', $field, $by);
                }
            }
        }

        return $found;
    }

    /** @return list<Refusal> joints asked for so near to each other, or to an end, that a piece is too short */
    private function pieces(CutRun $run, string $path): array
    {
        $rules = $this->problem->rules;
        $joints = array_filter(
            array_unique($run->joints),
            static fn (float $at): bool => $at > 0.0 && $at < $run->chain->lengthMm,
        );
        sort($joints);
        if ($joints === []) {
            return [];
        }
        $lacking = $crowded = 0.0;
        $places = [0.0, ...$joints, $run->chain->lengthMm];
        for ($i = 1; $i < count($places); $i++) {
            $length = $places[$i] - $places[$i - 1];
            $long = ($i === 1 ? $run->firstLongMm : $rules->longByMm)
                + ($i === count($places) - 1 ? $run->lastLongMm : $rules->longByMm);
            $lacking = max($lacking, $rules->leastPieceMm - $length - $long);
            $crowded = max($crowded, $rules->jointSpacingMm - $length);
        }

        return [
            ...$lacking > self::WITHIN_MM
                ? [new Refusal('a piece between the joints asked for would be too short', "$path.joints", $lacking)]
                : [],
            ...$crowded > self::WITHIN_MM
                ? [new Refusal('the joints asked for lie too near to each other', "$path.joints", $crowded)]
                : [],
        ];
    }

    /** @return list<Refusal> straights between two bends that want a joint and may have none */
    private function straights(CutRun $run, string $path): array
    {
        $found = [];
        $bends = $run->chain->bends();
        for ($i = 1; $i < count($bends); $i++) {
            [$from, $to] = [$bends[$i - 1]['to'], $bends[$i]['from']];
            foreach ($run->noJoint as $k => [$least, $most]) {
                $by = min($most - $to, $from - $least);
                if ($by > self::WITHIN_MM) {
                    $what = 'the straight between two bends has no place left for the joint it needs';
                    $found[] = new Refusal($what, "$path.no_joint[$k]", $by);
                }
            }
        }

        return $found;
    }

    /** @return list<Refusal> tubes of which the whole shelf is too little, and nothing can be bought */
    private function shelf(): array
    {
        $found = [];
        $tubes = array_map(static fn (CutRun $run): string => $run->tube, $this->problem->runs);
        foreach (array_unique($tubes) as $tube) {
            $stock = $this->problem->stockOf($tube);
            foreach ($this->needed($tube) as $what => [$needed, $usable]) {
                $lacking = $needed;
                foreach ($stock as $item) {
                    // Where as many as wanted can be bought, nothing is lacking.
                    $lacking -= $usable($item) > 0.0 ? ($item->count ?? INF) * $usable($item) : 0.0;
                }
                if ($lacking > self::WITHIN_MM) {
                    $found[] = new Refusal("the shelf has too little of tube $tube: $what", 'stock', $lacking);
                    break;
                }
            }
        }

        return $found;
    }

    /**
     * What the runs of a tube take at least, and what of it one item of stock can give.
     *
     * @return array<string, array{float, \Closure(StockItem): float}>
     */
    private function needed(string $tube): array
    {
        $lengthMm = 0.0;
        $degrees = [];
        foreach ($this->problem->runs as $run) {
            if ($run->tube !== $tube) {
                continue;
            }
            $lengthMm += $run->chain->lengthMm;
            foreach ($run->chain->bends() as ['link' => $bend]) {
                $degrees[(string) $bend->clrMm] = ($degrees[(string) $bend->clrMm] ?? 0.0) + $bend->angleDeg;
            }
        }
        $needed = [];
        foreach ($degrees as $clr => $sum) {
            $needed["degrees on $clr mm"] = [$sum, static function (StockItem $item) use ($clr): float {
                $arc = $item->arc();

                return $arc !== null && abs($arc->clrMm - (float) $clr) <= self::WITHIN_MM ? $arc->angleDeg : 0.0;
            }];
        }
        $needed['mm along the centreline'] = [$lengthMm, static fn (StockItem $item): float => $item->usableMm()];

        return $needed;
    }
}
