<?php

declare(strict_types=1);

namespace App\Workshop;

use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Account\Ledger\SawAccount;
use UpsweptBead\Core\Account\Ledger\StepTime;
use UpsweptBead\Core\Account\Quote\Quote;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Drawing\AssemblySvg;
use UpsweptBead\Core\Exchange\Drawing\RibbonSvg;
use UpsweptBead\Core\Exchange\Files\RecordJoints;
use UpsweptBead\Core\Exchange\Screens\CuttingWriter;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Cut\OnTape;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Overruled;
use UpsweptBead\Core\Stage\Plan\Plan;

/** What saw, stores, quote and record want of a plan, kept beside what the other screens do. */
final readonly class KnownCut
{
    /**
     * @param  list<Need>  $needs
     * @param  list<OpenedStock>  $opened
     * @param  array<string, RoutedRun>  $runs  by letter
     * @param  array<string, mixed>  $written  set-ups as the screen gets them
     * @param  list<array<string, mixed>>  $saws  what the cuts take on each kind of saw, as the screen gets it
     * @param  array<string, StepTime>  $times  as planned, by step
     * @param  string  $assembly  drawn, as SVG
     * @param  array<string, string>  $ribbons  runs unrolled, as SVG, by letter
     * @param  list<array{id: string, between: string, and: string, type: string, station: float, planned: array<string, mixed>}>  $joints
     * @param  list<array{name: string, proposed: string, value: string, why: string}>  $overruled  in words
     */
    private function __construct(
        public array $needs,
        public array $opened,
        public array $runs,
        public array $written,
        public array $saws,
        public Quote $quote,
        public string $assembly,
        public array $ribbons,
        public array $joints,
        public UnitSystem $units,
        public array $times,
        public OnTape $tape,
        public array $overruled,
    ) {}

    public static function of(Plan $plan, Shop $shop): self
    {
        $ledger = Ledger::of($plan, $shop);
        $writer = new CuttingWriter($plan->job->units, $shop);
        $runs = $ribbons = [];
        foreach ($plan->layout->runs as $run) {
            $letter = $run->spec->letter;
            $runs[$letter] = $run;
            $ribbons[$letter] = RibbonSvg::of(
                $plan->cut->piecesOf($letter),
                $plan->joints->ofRun($letter),
                $run->line->lengthMm,
            );
        }

        return new self($ledger->goods, $plan->cut->opened($shop->rules), $runs, [
            'setUps' => $writer->setUps($plan->cut),
        ], array_map(static fn (SawAccount $one): array => [
            'name' => $one->saw->label(),
            'cuts' => $one->cuts,
            'time' => Quantity::Duration->read(60 * $one->minutes, $plan->job->units),
            'blades' => round($one->blades, 2),
            'cost' => round($one->cost, 2),
        ], SawAccount::all($ledger->cuts, $shop)), Quote::of($plan, $ledger, $shop), AssemblySvg::of($plan), $ribbons, RecordJoints::of($plan), $plan->job->units, $ledger->times, $plan->cut->onTape($plan->job->units), array_map(static fn (Overruled $one): array => [
            'name' => $one->name(),
            'proposed' => $one->proposed($plan->job->units),
            'value' => $one->value($plan->job->units),
            'why' => implode('; ', array_filter([$one->by->procedure, $one->by->why], static fn (string $told): bool => $told !== '')),
        ], $plan->overruled()));
    }

    /** @return list<string> of all pieces */
    public function marks(): array
    {
        return array_column(array_merge(...array_column($this->opened, 'pieces')), 'mark');
    }

    public function piece(string $mark): ?Piece
    {
        foreach ($this->opened as $stock) {
            foreach ($stock->pieces as $piece) {
                if ($piece->mark === $mark) {
                    return $piece;
                }
            }
        }

        return null;
    }

    /** What a piece is cut from. */
    public function stockOf(string $mark): ?OpenedStock
    {
        foreach ($this->opened as $stock) {
            foreach ($stock->pieces as $piece) {
                if ($piece->mark === $mark) {
                    return $stock;
                }
            }
        }

        return null;
    }
}
