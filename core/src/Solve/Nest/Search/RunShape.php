<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Problem\CutRun;
use UpsweptBead\Core\Solve\Nest\Problem\Link;

/**
 * A run as a search sees it: its bends, the straight before each and after the last, and on every straight the stations
 * at which a joint is worth trying whatever else is chosen. Stations in mm.
 */
final class RunShape
{
    /** Stations this near to each other (mm) belong to one part. */
    private const STEPS_MM = 1000;

    private const MOST_RUNS = 10_000;

    /** @var array<int, Part|null> by its stations */
    private array $parts = [];

    public readonly float $endMm;

    /** @var list<array{from: float, to: float, link: Link}> */
    public readonly array $bends;

    /** @var list<float> joints asked for, in order */
    public readonly array $joints;

    /** @var list<list<float>> by straight, in order: the straight before bend k is straight k */
    public readonly array $stops;

    /** @var list<int> how many joints are asked for on each straight */
    public readonly array $jointsOn;

    /** @var list<float> the most that a leg of any stock for bend k can take of the straight before it */
    public readonly array $legsMm;

    /**
     * @param  list<Donor>  $donors  those of its tube
     */
    public function __construct(
        public readonly int $index,
        public readonly CutRun $run,
        private readonly CutRules $rules,
        array $donors,
    ) {
        $this->endMm = $run->chain->lengthMm;
        $this->bends = $run->chain->bends();
        $joints = array_values(array_unique($run->joints));
        sort($joints);
        $this->joints = $joints;
        $stops = $jointsOn = [];
        for ($k = 0; $k <= count($this->bends); $k++) {
            $stops[] = $this->stopsOn($k, $donors);
            [$from, $to] = [$this->straightFromMm($k), $this->straightToMm($k)];
            $jointsOn[] = count(array_filter($joints, static fn (float $at): bool => $at >= $from && $at <= $to));
        }
        $this->stops = $stops;
        $this->jointsOn = $jointsOn;
        $legs = [];
        foreach ($this->bends as ['link' => $bend]) {
            $most = 0.0;
            foreach ($donors as $donor) {
                if (abs($donor->clrMm - $bend->clrMm) <= Link::SAME_CLR_MM) {
                    $most = max($most, $donor->longestLegMm() - min($rules->longStartMm, $rules->longEndMm));
                }
            }
            $legs[] = $most;
        }
        $this->legsMm = $legs;
    }

    /** Where the straight before bend k begins; that after the last bend has the number of bends as its k. */
    public function straightFromMm(int $k): float
    {
        return $this->bends[$k - 1]['to'] ?? 0.0;
    }

    public function straightToMm(int $k): float
    {
        return $this->bends[$k]['from'] ?? $this->endMm;
    }

    public function mayJoin(float $atMm): bool
    {
        if ($atMm <= 0.0 || $atMm >= $this->endMm) {
            return false;
        }
        foreach ($this->run->noJoint as [$from, $to]) {
            if ($atMm > $from + 1e-6 && $atMm < $to - 1e-6) {
                return false;
            }
        }

        return true;
    }

    /** Whether it is one straight in which no joint may be. */
    public function isWhole(): bool
    {
        foreach ($this->bends === [] && $this->joints === [] ? $this->run->noJoint : [] as [$from, $to]) {
            if ($from <= 0.0 && $to >= $this->endMm) {
                return true;
            }
        }

        return false;
    }

    /** The next joint that is asked for behind a station; the run's end if there is none. */
    public function nextJointMm(float $atMm): float
    {
        foreach ($this->joints as $joint) {
            if ($joint > $atMm + Donor::SAME_MM) {
                return $joint;
            }
        }

        return $this->endMm;
    }

    /**
     * The part between two stations; null if it is shorter than a piece may be.
     *
     * @param  int  $bend  the one in it; −1 if it is straight
     */
    public function part(float $fromMm, float $toMm, int $bend): ?Part
    {
        $key = (int) round($fromMm * self::STEPS_MM) * 4_000_000_000 + (int) round($toMm * self::STEPS_MM);
        if (! array_key_exists($key, $this->parts)) {
            $this->parts[$key] = $this->made($fromMm, $toMm, $bend);
        }

        return $this->parts[$key];
    }

    private function made(float $fromMm, float $toMm, int $bend): ?Part
    {
        $isFirst = $fromMm <= 0.0;
        $isLast = $toMm >= $this->endMm;
        $long = ($isFirst ? $this->run->firstLongMm : $this->rules->longStartMm)
            + ($isLast ? $this->run->lastLongMm : $this->rules->longEndMm);
        $isTooShort = $toMm - $fromMm + $long < $this->rules->leastPieceMm - 1e-6
            || (! ($isFirst && $isLast) && $toMm - $fromMm < $this->rules->jointSpacingMm - 1e-6);
        if ($isTooShort) {
            return null;
        }
        $at = $this->bends[$bend] ?? null;

        return new Part(
            count($this->parts) * self::MOST_RUNS + $this->index,
            $this->index,
            $fromMm,
            $toMm,
            $at['link'] ?? null,
            $at === null ? 0.0 : max(0.0, $at['from'] - $fromMm),
            $at === null ? 0.0 : max(0.0, $toMm - $at['to']),
            $isFirst ? $this->run->firstLongMm : $this->rules->longStartMm,
            $isLast ? $this->run->lastLongMm : $this->rules->longEndMm,
        );
    }

    /**
     * @param  list<Donor>  $donors
     * @return list<float> legs of the stock that a bend can come from; none if there is no such bend
     */
    private function legs(int $bend, array $donors): array
    {
        $legs = [];
        $clrMm = $this->bends[$bend]['link']->clrMm ?? -1.0;
        foreach ($donors as $donor) {
            if (abs($donor->clrMm - $clrMm) <= Link::SAME_CLR_MM) {
                array_push($legs, $donor->arcFromMm, $donor->lastLegMm());
            }
        }

        return array_values(array_unique($legs));
    }

    /**
     * The corners of a straight: its ends, joints asked for, edges of zones, where a neighbour takes all that a leg can
     * give, where the least piece fits behind, where an offcut fills the rest.
     *
     * @param  list<Donor>  $donors
     * @return list<float>
     */
    private function stopsOn(int $k, array $donors): array
    {
        [$from, $to] = [$this->straightFromMm($k), $this->straightToMm($k)];
        [$start, $finish] = [$this->rules->longStartMm, $this->rules->longEndMm];
        $stops = [$from, $to, ...$this->joints];
        foreach ($this->run->noJoint as $zone) {
            array_push($stops, ...$zone);
        }
        $least = max($this->rules->jointSpacingMm, $this->rules->leastPieceMm - $this->rules->longMm());
        $tight = array_map(static fn (float $leg): float => $to - $leg + $start, $this->legs($k, $donors));
        foreach ($this->legs($k - 1, $donors) as $leg) {
            $stops[] = $from + $leg - $finish;
        }
        $ends = [$to, ...$tight];
        $stops = [...$stops, ...$tight, $to - $least, $from + $least];
        foreach ($donors as $donor) {
            if ($donor->clrMm === 0.0) {
                foreach ($ends as $end) {
                    $long = $start + ($end === $this->endMm ? $this->run->lastLongMm : $finish);
                    $stops[] = $end - ($donor->toMm - $donor->fromMm - $long);
                }
            }
        }
        $kept = [];
        foreach ($stops as $at) {
            $isOn = $at >= $from - 1e-9 && $at <= $to + 1e-9;
            if ($isOn && ($this->mayJoin($at) || $at === $this->endMm)) {
                $kept[(string) round($at, 4)] = $at;
            }
        }
        sort($kept);

        return $kept;
    }
}
