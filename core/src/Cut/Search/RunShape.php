<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut\Search;

use UpsweptBead\Core\Cut\Problem\CutRules;
use UpsweptBead\Core\Cut\Problem\CutRun;
use UpsweptBead\Core\Cut\Problem\Link;

/**
 * A run as a search sees it: its bends, the straight before each and after the last, and on every straight the stations
 * at which a joint is worth trying whatever else is chosen. Stations in mm.
 */
final readonly class RunShape
{
    public float $endMm;

    /** @var list<array{from: float, to: float, link: Link}> */
    public array $bends;

    /** @var list<float> joints asked for, in order */
    public array $joints;

    /** @var list<list<float>> by straight, in order: the straight before bend k is straight k */
    public array $stops;

    /**
     * @param  list<Donor>  $donors  those of its tube
     */
    public function __construct(public int $index, public CutRun $run, private CutRules $rules, array $donors)
    {
        $this->endMm = $run->chain->lengthMm;
        $this->bends = $run->chain->bends();
        $joints = array_values(array_unique($run->joints));
        sort($joints);
        $this->joints = $joints;
        $stops = [];
        for ($k = 0; $k <= count($this->bends); $k++) {
            $stops[] = $this->stopsOn($k, $donors);
        }
        $this->stops = $stops;
    }

    /** Where the straight before bend k begins; that after the last bend has the number of bends as its k. */
    public function straightFromMm(int $k): float
    {
        return $k === 0 ? 0.0 : $this->bends[$k - 1]['to'];
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

    public function part(float $fromMm, float $toMm, int $bend): ?Part
    {
        $isFirst = $fromMm <= 0.0;
        $isLast = $toMm >= $this->endMm;
        $long = ($isFirst ? $this->run->firstLongMm : $this->rules->longByMm)
            + ($isLast ? $this->run->lastLongMm : $this->rules->longByMm);
        $isTooShort = $toMm - $fromMm + $long < $this->rules->leastPieceMm - 1e-6
            || (! ($isFirst && $isLast) && $toMm - $fromMm < $this->rules->jointSpacingMm - 1e-6);
        if ($isTooShort) {
            return null;
        }
        $at = $this->bends[$bend] ?? null;

        return new Part(
            $this->index,
            $fromMm,
            $toMm,
            $at['link'] ?? null,
            $at === null ? 0.0 : max(0.0, $at['from'] - $fromMm),
            $at === null ? 0.0 : max(0.0, $toMm - $at['to']),
            $isFirst ? $this->run->firstLongMm : $this->rules->longByMm,
            $isLast ? $this->run->lastLongMm : $this->rules->longByMm,
        );
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
        $joint = $this->rules->longByMm;
        $stops = [$from, $to, ...$this->joints];
        foreach ($this->run->noJoint as $zone) {
            array_push($stops, ...$zone);
        }
        $least = max($this->rules->jointSpacingMm, $this->rules->leastPieceMm - 2 * $joint);
        $tight = [];
        if (isset($this->bends[$k])) {
            foreach ($donors as $donor) {
                if (abs($donor->clrMm - $this->bends[$k]['link']->clrMm) <= Donor::SAME_MM) {
                    $tight[] = $to - ($donor->arcFromMm - $joint);
                    $tight[] = $to - ($donor->lengthMm() - $donor->arcToMm - $joint);
                }
            }
        }
        $ends = [$to, ...$tight];
        $stops = [...$stops, ...$tight, $to - $least, $from + $least];
        foreach ($donors as $donor) {
            if ($donor->clrMm === 0.0) {
                foreach ($ends as $end) {
                    $long = $joint + ($end === $this->endMm ? $this->run->lastLongMm : $joint);
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

        return array_values($kept);
    }
}
