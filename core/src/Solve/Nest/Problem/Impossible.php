<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

use UpsweptBead\Core\Base\Document\Refusal;

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
                ...$self->whole($run, "runs[$i]"),
            );
        }
        if ($found !== []) {
            return $found;
        }
        foreach ($problem->runs as $i => $run) {
            array_push(
                $found,
                ...$self->stretches($run, "runs[$i]"),
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
                if ($arc !== null && $item->count !== 0 && $arc->hasRadius($bend->clrMm)) {
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
            $long = ($i === 1 ? $run->firstLongMm : $rules->longStartMm)
                + ($i === count($places) - 1 ? $run->lastLongMm : $rules->longEndMm);
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

    /** @return list<Refusal> stretches without a joint for which no stock is long enough */
    private function stretches(CutRun $run, string $path): array
    {
        $found = [];
        $stock = $this->problem->stockOf($run->tube);
        foreach (NoJointZone::all($run, $this->problem->rules) as $stretch) {
            $by = count($stretch->bends) > 1 ? 0.0 : $stretch->lackingMm($stock);
            if ($by <= self::WITHIN_MM || is_infinite($by)) {
                continue;
            }
            $isZone = static fn (array $zone): bool => $zone[1] > $stretch->fromMm && $zone[0] < $stretch->toMm;
            $zone = array_key_first(array_filter($run->noJoint, $isZone));
            if ($zone !== null) {
                $what = 'no joint may be here, and no stock gives one piece as long';
                $found[] = new Refusal($what, "$path.no_joint[$zone]", $by);
            } elseif ($stretch->bends !== []) {
                $field = "$path.elements[{$stretch->bends[0]['link']->element}].bend";
                $found[] = new Refusal('no stock has this bend with its extra length', $field, $by);
            }
            $found[] = new Refusal("no stock gives a piece of run $run->id that is as long as it has to be", 'stock', $by);
        }

        return $found;
    }

    /** @return list<Refusal> a run that is shorter than a piece may be */
    private function whole(CutRun $run, string $path): array
    {
        $rules = $this->problem->rules;
        $by = $rules->leastPieceMm - $run->chain->lengthMm - $run->firstLongMm - $run->lastLongMm;

        return $by > self::WITHIN_MM && $run->joints === []
            ? [new Refusal('the run is shorter than a piece may be', "$path.elements", $by)]
            : [];
    }

    /** @return list<Refusal> tubes of which the whole shelf is too little, and nothing can be bought */
    private function shelf(): array
    {
        $tubes = array_unique(array_map(static fn (CutRun $run): string => $run->tube, $this->problem->runs));

        return array_merge(...array_map(
            fn (string $tube): array => Shelf::lacking($this->problem, $tube),
            array_values($tubes),
        ));
    }
}
