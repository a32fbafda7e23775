<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Nest\Problem\Link;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** What the pieces of a run come from when the bend of one is to come out of a donut. */
final readonly class DonutChoice
{
    /** Two stations are the same within this (mm). */
    private const SAME_MM = 0.01;

    private function __construct(private CutPlan $now, private Piece $piece, private Shop $shop) {}

    /**
     * From a donut that is opened for the job already, if it has room.
     *
     * @param  list<float>  $joints  the run is cut at
     * @return list<string> the stock of every piece
     *
     * @throws \DomainException if there is no donut of its tube and radius
     */
    public static function of(CutPlan $now, RoutedRun $run, array $joints, Piece $piece, Shop $shop): array
    {
        foreach ($shop->catalogue->donutsFor($run->tube->id) as $ring) {
            if (abs($ring->clrMm - $piece->clrMm) <= Link::SAME_CLR_MM) {
                return (new self($now, $piece, $shop))->stock($ring, $joints);
            }
        }
        throw new \DomainException("No donut of {$run->tube->name} has the radius of $piece->mark.");
    }

    /**
     * @param  list<float>  $joints
     * @return list<string>
     */
    private function stock(BendStock $ring, array $joints): array
    {
        $span = $this->piece->span;
        $stock = [];
        foreach ([0.0, ...$joints] as $fromMm) {
            $isIt = abs($fromMm - $span->fromMm - $span->legBeforeMm) <= self::SAME_MM;
            $stock[] = $isIt ? "$ring->id {$this->number($ring)}" : $this->chosenAt($fromMm);
        }

        return $stock;
    }

    /** The first of the job's donuts that has room for the bend. */
    private function number(BendStock $ring): int
    {
        $kerfMm = $this->shop->rules->value('cut.kerf');
        $usedMm = [];
        foreach ($this->now->pieces as $pieces) {
            foreach ($pieces as $one) {
                $takesMm = $one->mark === $this->piece->mark ? 0.0 : $one->cutLengthMm() + $kerfMm;
                $usedMm[$one->wanted] = ($usedMm[$one->wanted] ?? 0.0) + $takesMm;
            }
        }
        $span = $this->piece->span;
        $takesMm = $this->piece->cutLengthMm() - $span->legBeforeMm - $span->legAfterMm + $kerfMm;
        $roundMm = deg2rad($ring->angleDeg) * $ring->clrMm;
        $number = 1;
        while (($usedMm["$ring->id $number"] ?? 0.0) + $takesMm > $roundMm && isset($usedMm["$ring->id $number"])) {
            $number++;
        }

        return $number;
    }

    /** What the piece that begins there was chosen to come from. */
    private function chosenAt(float $fromMm): string
    {
        foreach ($this->now->piecesOf($this->piece->run) as $one) {
            if (abs($one->span->fromMm - $fromMm) <= self::SAME_MM && $one->wanted !== '') {
                return $one->wanted;
            }
        }

        return CutChoice::ANY;
    }
}
