<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Internal;

use UpsweptBead\Core\Cut\Nesting;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\RunSpec;
use UpsweptBead\Core\Plan\Notice;
use UpsweptBead\Core\Run\FarEnd;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Stock\BendStock;
use UpsweptBead\Core\Stock\TubeSize;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\Filler;
use UpsweptBead\Core\Weld\JointSheet;
use UpsweptBead\Core\Weld\JointType;
use UpsweptBead\Core\Weld\Metal;

/** What a person must be told about a run, each at its place in the job document. */
final readonly class RunChecks
{
    /**
     * @param  array<string, Metal>  $metals
     * @return list<Notice>
     */
    public static function metals(Job $job, array $metals): array
    {
        $used = ['job.metal' => $job->metal];
        foreach ($job->runs as $i => $run) {
            $used += self::endMetals($run, "runs[$i]");
        }
        $notices = [];
        foreach ($used as $path => $id) {
            $metal = $metals[$id] ?? null;
            if ($metal === null) {
                $notices[] = Notice::problem($path, sprintf('"%s" is not a metal in the table; known are %s.', mb_substr($id, 0, 30), implode(', ', array_keys($metals))));
            } elseif ($metal->warning !== '') {
                $notices[] = Notice::caution($path, "$metal->name: $metal->warning.");
            }
        }

        return $notices;
    }

    /** @return list<Notice> */
    public static function route(TubeRun $run, FarEnd $farEnd, Shop $shop, Job $job, TubeSize $tube, string $path): array
    {
        $notices = [];
        $units = $job->units;
        $rules = $job->set->routing->on($shop->rules->routing());
        $straights = $run->straightsMm();
        $last = count($straights) - 1;
        foreach ($straights as $i => $mm) {
            $least = match (true) {
                $i === $last => $rules->lastStraightMm,
                $i === 0 => $rules->firstStraightMm,
                default => $rules->innerStraightMm,
            };
            if ($mm < $least - 0.01) {
                $place = $i === $last ? "$path.route.endStraight" : "$path.route.bends[$i].straight";
                $notices[] = Notice::problem($place, sprintf('This straight has %s; the shop’s least is %s.', Quantity::Length->show($mm, $units), Quantity::Length->show($least, $units)));
            }
        }
        foreach ($run->bends as $i => $bend) {
            $fits = array_filter($shop->catalogue->bendsFor($tube->id), static fn (BendStock $stock): bool => abs($stock->clrMm - $bend->clrMm) <= 0.01);
            $most = $fits === [] ? 0.0 : max(array_map(static fn (BendStock $stock): float => $stock->angleDeg, $fits));
            if ($fits === []) {
                $notices[] = Notice::problem("$path.route.bends[$i].clr", sprintf('No bend of %s is stocked on a centreline radius of %s; stocked: %s.', $tube->name, Quantity::Length->show($bend->clrMm, $units), self::radii($shop, $tube, $units)));
            } elseif ($bend->angleDeg > $most + 0.05) {
                $notices[] = Notice::problem("$path.route.bends[$i].angle", sprintf('Bends on this radius are bought up to %.0f°; this one asks for %.1f°.', $most, $bend->angleDeg));
            }
        }
        if (! $farEnd->isClosed()) {
            $notices[] = Notice::problem("$path.route", sprintf('The far end is open: %s and %.2f° from its target.', Quantity::Length->show($farEnd->gapMm, $units), $farEnd->angleDeg));
        }

        return $notices;
    }

    /** @return list<Notice> */
    public static function cutting(Nesting $nesting, string $path): array
    {
        return array_map(static fn (string $mark): Notice => Notice::problem("$path.route", "Piece $mark is longer than the tube comes; it needs a joint or longer stock."), $nesting->tooLong);
    }

    /**
     * @param  list<JointSheet>  $sheets
     * @return list<Notice>
     */
    public static function welding(array $sheets, string $path): array
    {
        $notices = [];
        foreach ($sheets as $sheet) {
            if ($sheet->choices['filler']->value === Filler::NONE && $sheet->joint->type !== JointType::FlangeSeal) {
                $notices[] = Notice::problem($path, "Joint {$sheet->joint->id}: {$sheet->choices['filler']->reason->rule}");
            }
        }

        return $notices;
    }

    /** @return array<string, string> */
    private static function endMetals(RunSpec $run, string $path): array
    {
        return ["$path.start.metal" => $run->start->metal, "$path.end.metal" => $run->end->metal];
    }

    private static function radii(Shop $shop, TubeSize $tube, UnitSystem $units): string
    {
        $radii = array_unique(array_map(static fn (BendStock $stock): string => Quantity::Length->show($stock->clrMm, $units), $shop->catalogue->bendsFor($tube->id)));

        return $radii === [] ? 'none' : implode(', ', $radii);
    }
}
