<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use Closure;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Nest\Problem\Chain;
use UpsweptBead\Core\Solve\Nest\Problem\CutProblem;
use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Problem\CutRun;
use UpsweptBead\Core\Solve\Nest\Problem\Link;
use UpsweptBead\Core\Solve\Nest\Problem\StockItem;
use UpsweptBead\Core\Solve\Nest\Problem\StockKind;
use UpsweptBead\Core\Solve\Nest\Search\CutAnswer;
use UpsweptBead\Core\Solve\Nest\Search\CutSolver;
use UpsweptBead\Core\Solve\Nest\Search\CutStatus;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * A whole job as one problem of cutting: all runs with their joints and stock at once, with the fewest joints and
 * then at the least cost, by the shop's rates for cuts and what is opened.
 */
final readonly class LeastStock
{
    /** Every joint is risk and heat besides its minutes: it counts so many times, so that joints come before stock. */
    private const JOINT_WEIGHT = 4.0;

    /** What is on the shelf costs this share of what has to be bought: it is paid, but not worthless. */
    private const SHELF_SHARE = 0.8;

    private const ON_SHELF = ' on the shelf';

    /** No shorter piece is made (mm, as cut); our own rule. */
    private const LEAST_PIECE_MM = 25.0;

    private function __construct(private Job $job, private Shop $shop) {}

    /** Those of its runs whose bends are all in stock. */
    public static function problem(Job $job, Layout $layout, Shop $shop): CutProblem
    {
        $self = new self($job, $shop);
        $runs = $stock = $tubes = [];
        foreach ($layout->runs as $routed) {
            if ($routed->run->lengthMm() > 0.0 && $self->hasStock($routed)) {
                $runs[] = $self->run($routed);
                $tubes[$routed->tube->id] = true;
            }
        }
        foreach (array_keys($tubes) as $tube) {
            array_push($stock, ...$self->stock($tube));
        }

        return new CutProblem($job->number, $stock, $self->rules($layout), $runs);
    }

    /**
     * The job with the joints of the best plan found; null if none was found.
     *
     * @param  Closure(): float  $now  seconds on any clock that only runs forward
     */
    public static function of(Job $job, Layout $layout, Shop $shop, float $seconds, int $seed, Closure $now): ?Job
    {
        $answer = (new CutSolver(self::problem($job, $layout, $shop), $seed, $now))->solve($seconds);

        return $answer->status === CutStatus::Solved ? self::joined($job, $answer) : null;
    }

    private static function joined(Job $job, CutAnswer $answer): Job
    {
        $joints = $stock = $numbers = $counts = [];
        foreach ($answer->pieces as $piece) {
            $joints[$piece->run] ??= [];
            if ($piece->fromMm > 0.0) {
                $joints[$piece->run][] = Length::ofMm(round($piece->fromMm, 3));
            }
            $id = str_replace(self::ON_SHELF, '', $piece->item);
            $counts[$id] ??= 0;
            $numbers["$piece->item $piece->copy"] ??= ++$counts[$id];
            $stock[$piece->run][] = "$id {$numbers["$piece->item $piece->copy"]}";
        }
        foreach ($job->runs as $run) {
            if ($run->route !== null && isset($joints[$run->letter])) {
                $choice = new CutChoice($joints[$run->letter], $stock[$run->letter]);
                $job = $job->routed($run->letter, $run->route->cutAs($choice));
            }
        }

        return $job;
    }

    private function hasStock(RoutedRun $routed): bool
    {
        foreach ($routed->run->bends as $bend) {
            $isThere = array_filter(
                $this->shop->catalogue->bendsFor($routed->tube->id),
                static fn (BendStock $one): bool => abs($one->clrMm - $bend->clrMm) < 0.01
                    && $one->angleDeg >= $bend->angleDeg - 0.05,
            );
            if ($isThere === []) {
                return false;
            }
        }

        return true;
    }

    private function run(RoutedRun $routed): CutRun
    {
        $links = [];
        foreach ($routed->run->bends as $bend) {
            $links[] = Link::straight($bend->straightMm);
            $links[] = Link::bend($this->asSold($routed, $bend->angleDeg, $bend->clrMm), $bend->clrMm);
        }
        $links[] = Link::straight($routed->run->endStraightMm);
        $spec = $routed->spec;
        $shrinkMm = fn (?ButtKind $butt): float => $butt?->shrinkMm($this->shop->rules, $routed->tube->wallMm) ?? 0.0;
        $trimMm = $routed->run->endStraightMm > 0.0 ? $this->shop->rules->value('cut.trim_allowance') : 0.0;
        $slipMm = Pieces::slipMm($this->job, $spec, $this->shop->rules);

        return new CutRun(
            $spec->letter,
            $routed->tube->id,
            Chain::of($links),
            KeepAway::zones($routed),
            [],
            $shrinkMm(Pieces::startButt($this->job, $spec)),
            $trimMm + $slipMm + $shrinkMm(Pieces::endButt($this->job, $spec)),
        );
    }

    /** The angle of the stock where it is the same as that of a bend but for rounding. */
    private function asSold(RoutedRun $routed, float $angleDeg, float $clrMm): float
    {
        foreach ($this->shop->catalogue->bendsFor($routed->tube->id) as $bend) {
            if (abs($bend->clrMm - $clrMm) < 0.01 && abs($bend->angleDeg - $angleDeg) < 0.05) {
                return $bend->angleDeg;
            }
        }

        return $angleDeg;
    }

    /** @return list<StockItem> what is on the shelf, and what can be bought */
    private function stock(string $tube): array
    {
        $rules = $this->shop->rules;
        // New stock is squared once; what is behind that is a stick with ends of its own.
        $lengthMm = $rules->value('cut.stock_length') - $rules->value('cut.end_trim');
        $perBar = $rules->value('cost.tube_metre') * $rules->value('cut.stock_length') / 1000;
        $chain = Chain::of([Link::straight($lengthMm)]);
        $items = $this->both(
            $tube,
            $perBar,
            static fn (string $id, ?int $count, float $cost): StockItem => new StockItem(
                $id,
                $tube,
                StockKind::Stick,
                $chain,
                0.0,
                $count,
                $cost,
            ),
        );
        foreach ($this->shop->catalogue->bendsFor($tube) as $bend) {
            $legsMm = $bend->clampLegMm + $bend->pullLegMm;
            // A wider bend is more tube: what it costs goes with its length, a bend of 90 degrees by the shop's price.
            $share = ($legsMm + deg2rad($bend->angleDeg) * $bend->clrMm) / ($legsMm + M_PI_2 * $bend->clrMm);
            array_push($items, ...$this->bent($bend, $share * $rules->priceOf($bend)));
        }
        foreach (Bends::donuts($tube, $this->shop) as $ring) {
            array_push($items, ...$this->bent($ring, $rules->priceOf($ring)));
        }
        foreach ($this->shop->offcutsOf($tube, true) as $offcut) {
            $chain = Chain::of([Link::straight($offcut->lengthMm())]);
            $cost = self::SHELF_SHARE * $perBar * $offcut->lengthMm() / $lengthMm;
            $items[] = new StockItem($offcut->id.self::ON_SHELF, $tube, StockKind::Stick, $chain, 0.0, 1, $cost);
        }
        foreach ($this->shop->offcutsOf($tube, false) as $offcut) {
            $whole = $this->shop->catalogue->bend($offcut->stockId);
            if ($whole !== null) {
                $cost = self::SHELF_SHARE * $rules->priceOf($whole) / 2;
                $items[] = Bends::item($offcut->asBend($whole), $offcut->id.self::ON_SHELF, 1, $cost);
            }
        }

        return $items;
    }

    /** @return list<StockItem> */
    private function bent(BendStock $bend, float $cost): array
    {
        return $this->both(
            $bend->id,
            $cost,
            static fn (string $id, ?int $count, float $cost): StockItem => Bends::item($bend, $id, $count, $cost),
        );
    }

    /**
     * @param  Closure(string, int|null, float): StockItem  $item
     * @return list<StockItem>
     */
    private function both(string $id, float $cost, Closure $item): array
    {
        $shelf = $this->shop->has($id);

        return $shelf > 0
            ? [$item($id.self::ON_SHELF, $shelf, $cost * self::SHELF_SHARE), $item($id, null, $cost)]
            : [$item($id, null, $cost)];
    }

    private function rules(Layout $layout): CutRules
    {
        $rules = $this->shop->rules;
        $walls = array_map(static fn (RoutedRun $routed): float => $routed->tube->wallMm, $layout->runs);
        $wallMm = $walls === [] ? 0.0 : max($walls);
        $rates = Rates::of($this->shop);
        $ods = array_map(static fn (RoutedRun $routed): float => $routed->tube->odMm, $layout->runs);
        $jointMin = $rates->jointMinutes() + $rates->seamMinutes($ods === [] ? 0.0 : max($ods));

        return new CutRules(
            $rules->value('cut.kerf'),
            $rules->value('cut.hold'),
            self::LEAST_PIECE_MM,
            CutNotices::WALLS_BETWEEN * $wallMm,
            0.0,
            $rules->value('cut.trim_allowance') + ButtKind::Tubes->shrinkMm($rules, $wallMm),
            self::JOINT_WEIGHT * $rates->perMinute() * $jointMin,
            $rates->cut(),
        );
    }
}
