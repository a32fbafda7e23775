<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Run\Bend;

/** What a person must be told about the route of one run, each at its place in the job document. */
final readonly class RouteChecks
{
    /** Less than this (mm, °) is taken for rounding, not for a fault. */
    private const SLACK_MM = 0.01;

    private const SLACK_DEG = 0.05;

    /** A pie-cut bend turns the gas by less than this at one weld, common practice. */
    private const MOST_WELD_DEG = 30.5;

    private function __construct(private RoutedRun $routed, private Job $job, private Shop $shop) {}

    /** @return list<Notice> */
    public static function of(RoutedRun $routed, Job $job, Shop $shop): array
    {
        $checks = new self($routed, $job, $shop);

        return [...$checks->straights(), ...$checks->bends(), ...$checks->farEnd()];
    }

    /** @return list<Notice> */
    private function straights(): array
    {
        $notices = [];
        $limits = $this->job->set->routing->on($this->shop->rules->routing());
        $straights = $this->routed->run->straightsMm();
        $last = count($straights) - 1;
        foreach ($straights as $i => $mm) {
            $least = match (true) {
                $i === $last => $this->routed->spec->end->isFree ? 0.0 : $limits->lastStraightMm,
                $i === 0 => $limits->firstStraightMm,
                default => $limits->innerStraightMm,
            };
            if ($mm < $least - self::SLACK_MM) {
                $place = $i === $last ? 'endStraight' : "bends[$i].straight";
                $notices[] = Notice::problem("{$this->routed->path}.route.$place", sprintf(
                    'This straight has %s; the shop’s least is %s.',
                    $this->show($mm),
                    $this->show($least),
                ));
            }
        }

        return $notices;
    }

    /** @return list<Notice> */
    private function bends(): array
    {
        $notices = [];
        $tube = $this->routed->tube;
        foreach ($this->routed->run->bends as $i => $bend) {
            if ($bend->pieWelds > 0) {
                array_push($notices, ...$this->wedges($bend, $i));

                continue;
            }
            $fits = array_filter(
                $this->shop->catalogue->bendsFor($tube->id),
                static fn (BendStock $stock): bool => abs($stock->clrMm - $bend->clrMm) <= self::SLACK_MM,
            );
            $most = $fits === [] ? 0.0 : max(array_map(static fn (BendStock $stock): float => $stock->angleDeg, $fits));
            $path = "{$this->routed->path}.route.bends[$i]";
            if ($fits === []) {
                $notices[] = Notice::problem("$path.clr", sprintf(
                    'No bend of %s is stocked on a centreline radius of %s; stocked: %s.',
                    $tube->name,
                    $this->show($bend->clrMm),
                    self::radii($this->shop, $tube, $this->job->units),
                ));
            } elseif ($bend->angleDeg > $most + self::SLACK_DEG) {
                $notices[] = Notice::problem("$path.angle", sprintf(
                    'Bends on this radius are bought up to %.0f°; this one asks for %.1f°.',
                    $most,
                    $bend->angleDeg,
                ));
            }
        }

        return $notices;
    }

    /** @return list<Notice> of a bend that is made here */
    private function wedges(Bend $bend, int $i): array
    {
        $lackingMm = $this->routed->tube->odMm / 2 - $bend->clrMm;
        $path = "{$this->routed->path}.route.bends[$i]";
        if ($lackingMm > 0.0) {
            return [Notice::problem("$path.clr", sprintf(
                'The wedges of a pie-cut bend have no throat left on this radius; it must be wider by %s.',
                $this->show($lackingMm),
            ))];
        }

        return $bend->angleDeg / $bend->pieWelds < self::MOST_WELD_DEG ? [] : [Notice::caution("$path.pie", sprintf(
            'Each weld turns the gas by %.0f° at once; more welds with less each flow better.',
            $bend->angleDeg / $bend->pieWelds,
        ))];
    }

    /** @return list<Notice> */
    private function farEnd(): array
    {
        $farEnd = $this->routed->farEnd;

        return $farEnd->isClosed() ? [] : [Notice::problem("{$this->routed->path}.route", sprintf(
            'The far end is open: %s and %.2f° from its target.',
            $this->show($farEnd->gapMm),
            $farEnd->angleDeg,
        ))];
    }

    private function show(float $mm): string
    {
        return Quantity::Length->show($mm, $this->job->units);
    }

    private static function radii(Shop $shop, TubeSize $tube, UnitSystem $units): string
    {
        $radii = array_unique(array_map(
            static fn (BendStock $stock): string => Quantity::Length->show($stock->clrMm, $units),
            $shop->catalogue->bendsFor($tube->id),
        ));

        return $radii === [] ? 'none' : implode(', ', $radii);
    }
}
