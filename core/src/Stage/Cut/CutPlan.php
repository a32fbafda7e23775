<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Run\Jointing;
use UpsweptBead\Core\Solve\Run\PieceSpan;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * The second stage: the pieces of every run, which bars and bends all of them together are cut from, and what of that
 * has to be bought. The shelf is counted once for the job, not once for each run.
 */
final readonly class CutPlan
{
    /** A run shorter than this (mm) is not there yet. */
    private const SHORTEST_MM = 1.0;

    /**
     * @param  array<string, list<Piece>>  $pieces  by the letter of each run that can be cut from stock, in order of
     *   flow
     * @param  array<string, list<Piece>>  $ofCollectors  by the letter of each collector that is made here
     * @param  list<Nesting>  $nestings  one for each size of tube
     * @param  list<StockNeed>  $stock
     * @param  list<Notice>  $notices
     */
    private function __construct(
        public array $pieces,
        public array $ofCollectors,
        public array $nestings,
        public array $stock,
        public array $notices,
    ) {}

    public static function of(Job $job, Layout $layout, Shop $shop): self
    {
        $bends = $byTube = $tubes = $notices = $there = [];
        $chosen = self::chosenStock($job);
        foreach ($layout->runs as $routed) {
            $tubes[$routed->tube->id] = $routed->tube;
            if ($routed->spec->isThere) {
                [$spans, $notice] = self::asIs($routed);
                array_push($notices, ...$notice);
                $bends[$routed->tube->id] ??= Bends::of($routed->tube, $shop, $chosen);
                $there[$routed->spec->letter] = Pieces::of($routed, $spans, $job, $shop, $bends[$routed->tube->id]);

                continue;
            }
            $stock = MadeBends::stock($routed->run, $routed->tube, $shop);
            $slipMm = Pieces::slipMm($job, $routed->spec, $shop->rules);
            $cuts = $routed->spec->route?->cuts;
            $spans = $cuts === null ? null : Jointing::at($routed->run, $stock, $cuts->jointsMm());
            if ($cuts !== null && $spans === null) {
                $cuts = null;
                $notices[] = Notice::caution(
                    "$routed->path.route.cuts",
                    "The joints chosen for run {$routed->spec->letter} do not suit its route and stock any more; they are worked out again.",
                );
            }
            $worked = self::worked($routed, $stock, $slipMm);
            $stubbed = self::stubbed($routed, $worked, $stock, $job, $shop);
            if ($spans === null && $stubbed === null && in_array($routed->spec->letter, $job->set->stubs, true)) {
                $notices[] = Notice::caution("$routed->path.route", sprintf(
                    'Run %s has no room for a stub of %s on its flange: the first bend, or its stock, begins before.',
                    $routed->spec->letter,
                    Quantity::Length->show($shop->rules->value('fit.stub'), $job->units),
                ));
            }
            $spans ??= $stubbed ?? $worked;
            if ($spans !== null && $routed->run->lengthMm() >= self::SHORTEST_MM) {
                $bends[$routed->tube->id] ??= Bends::of($routed->tube, $shop, $chosen);
                $ofRun = Pieces::of($routed, $spans, $job, $shop, $bends[$routed->tube->id]);
                foreach ($cuts->stock ?? [] as $i => $wanted) {
                    $ofRun[$i] = $ofRun[$i]->wantedFrom($wanted);
                }
                $byTube[$routed->tube->id] = [...$byTube[$routed->tube->id] ?? [], ...$ofRun];
            }
        }
        $collectors = $layout->placement->collectors->all;
        foreach ($collectors as $collector) {
            $tube = $collector->tube();
            $tubes[$tube->id] = $tube;
            $made = CollectorPieces::of($collector, $job, $shop);
            if ($made !== []) {
                $bends[$tube->id] ??= Bends::of($tube, $shop, $chosen);
                $byTube[$tube->id] = [...$byTube[$tube->id] ?? [], ...$made];
            }
        }
        $nestings = array_map(
            static fn (int|string $id, array $all): Nesting => Nesting::of(
                $tubes[$id],
                $all,
                $bends[$id],
                $shop,
            ),
            array_keys($byTube),
            $byTube,
        );
        $pieces = [];
        foreach ($nestings as $nesting) {
            foreach ($nesting->pieces as $piece) {
                $pieces[$piece->run][] = $piece;
            }
        }
        $ofRuns = $there + array_filter(
            $pieces,
            static fn (int|string $letter): bool => $layout->run("$letter") !== null,
            ARRAY_FILTER_USE_KEY,
        );

        return new self(
            $ofRuns,
            array_diff_key($pieces, $ofRuns),
            $nestings,
            StockNeed::all($nestings, $shop),
            [
                ...$notices,
                ...CutNotices::of($layout->runs, $collectors, $there + $pieces, $nestings),
                ...self::drawn($layout->runs, $pieces, $job, $shop),
            ],
        );
    }

    /**
     * @param  list<RoutedRun>  $runs
     * @param  array<string, list<Piece>>  $pieces
     * @return list<Notice> of runs that welding draws off their far end, as nothing can be cut longer for it
     */
    private static function drawn(array $runs, array $pieces, Job $job, Shop $shop): array
    {
        $notices = [];
        foreach ($runs as $routed) {
            $ofRun = $pieces[$routed->spec->letter] ?? [];
            $drawn = NotAllowedFor::of($routed, $ofRun, $shop->rules);
            if ($drawn->joints !== []) {
                $notices[] = Notice::caution("$routed->path.route", sprintf(
                    'Where %s meet both sides end in their bends, and neither can be cut longer for what the weld pulls '
                        .'together: the far end of run %s comes in by %s. Leave that in its last straight, or move a joint into a straight.',
                    implode(', ', $drawn->joints),
                    $routed->spec->letter,
                    Quantity::Wall->show($drawn->farEnd->length(), $job->units),
                ));
            }
        }

        return $notices;
    }

    /** @return array{list<PieceSpan>, list<Notice>} a tube that is there, between the seams that were asked for */
    private static function asIs(RoutedRun $routed): array
    {
        $asked = $routed->spec->route->cuts?->jointsMm() ?? [];
        $spans = Jointing::asIs($routed->run, $asked);
        $whole = [new PieceSpan(0.0, $routed->run->lengthMm(), null, null)];

        return $spans !== null ? [$spans, []] : [$whole, [Notice::problem(
            "$routed->path.route.cuts",
            "A seam asked for in run {$routed->spec->letter} lies beyond the tube, or where another does; none is cut out.",
        )]];
    }

    /** @return list<string> ids of all stock that some piece was chosen to come from */
    private static function chosenStock(Job $job): array
    {
        $chosen = [];
        foreach ($job->runs as $run) {
            foreach ($run->route->cuts->stock ?? [] as $wanted) {
                $chosen[] = preg_replace('/ \d+$/', '', $wanted) ?? $wanted;
            }
        }

        return $chosen;
    }

    /**
     * Where a run is cut that nobody chose the joints of.
     *
     * @param  list<BendStock>  $stock
     * @return list<PieceSpan>|null
     */
    private static function worked(RoutedRun $routed, array $stock, float $slipMm): ?array
    {
        $spans = Jointing::of($routed->run, $stock, $slipMm);
        $zones = KeepAway::zones($routed);

        return $spans === null || $zones === [] ? $spans : Jointing::clearOf($zones, $spans, $routed->run, $stock);
    }

    /**
     * The same with a stub on its flange as a piece of its own; null where none is wanted, or there is no room for it.
     *
     * @param  list<PieceSpan>|null  $spans
     * @param  list<BendStock>  $stock
     * @return list<PieceSpan>|null
     */
    private static function stubbed(RoutedRun $routed, ?array $spans, array $stock, Job $job, Shop $shop): ?array
    {
        $start = $routed->spec->start;
        if ($spans === null || $start->kind !== EndKind::Flange
            || ! in_array($routed->spec->letter, $job->set->stubs, true)) {
            return null;
        }
        $atMm = $start->wall->mm + $shop->rules->value('fit.stub');
        $joints = array_map(static fn (PieceSpan $span): float => $span->fromMm, array_slice($spans, 1));
        if (($joints[0] ?? INF) <= $atMm) {
            return $spans;
        }

        return Jointing::at($routed->run, $stock, [$atMm, ...$joints]);
    }

    /** @return list<Piece> of a run or a collector */
    public function piecesOf(string $letter): array
    {
        return $this->pieces[$letter] ?? $this->ofCollectors[$letter] ?? [];
    }

    /** @return list<Piece> of all runs and collectors */
    public function allPieces(): array
    {
        return array_merge(...array_values($this->pieces + $this->ofCollectors));
    }

    /** Lengths to cut, as they are read off a tape. */
    public function onTape(UnitSystem $units): OnTape
    {
        return OnTape::of($this->pieces + $this->ofCollectors, $units);
    }

    public function massKg(string $letter): float
    {
        return array_sum(array_map(static fn (Piece $piece): float => $piece->massKg, $this->piecesOf($letter)));
    }

    public function totalKg(): float
    {
        return array_sum(array_map($this->massKg(...), array_keys($this->pieces + $this->ofCollectors)));
    }

    /** Between the pieces of each run. */
    public function joints(): int
    {
        return array_sum(array_map(static fn (array $ofRun): int => count($ofRun) - 1, $this->pieces));
    }

    public function bends(): int
    {
        return array_sum(array_map(static fn (Nesting $nesting): int => count($nesting->donors), $this->nestings));
    }

    public function bars(): int
    {
        return array_sum(array_map(static fn (Nesting $nesting): int => count($nesting->bars), $this->nestings));
    }

    /** @return list<OpenedStock> */
    public function opened(ShopRules $rules): array
    {
        return array_merge(...array_map(
            static fn (Nesting $nesting): array => $nesting->opened($rules),
            $this->nestings,
        ));
    }

    /** How often it is sawn, with the wedges of bends that are made here. */
    public function cuts(ShopRules $rules): int
    {
        return array_sum(array_map(static fn (OpenedStock $one): int => $one->cuts(), $this->opened($rules)))
            + array_sum(array_map(static fn (Piece $one): int => $one->pie->welds ?? 0, $this->allPieces()));
    }

    public function toBuy(): int
    {
        return array_sum(array_map(static fn (StockNeed $need): int => $need->toBuy(), $this->stock));
    }
}
