<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Growth;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Reason\Input;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Reason\Reason;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\PartKind;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\FittingKind;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Expansion;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * How much the job grows when it is hot: between the two parts that a run is tied to, and between two ports whose runs
 * are tied to one collector. A tube that is free grows as if it were enlarged about its start, whatever way it goes, so
 * between two fixed places the straight line between them counts, not the length of the tube.
 */
final readonly class GrowthPlan
{
    /** A tube's own weight is shared out in so many parts. */
    private const ELEMENTS = 40;

    /**
     * @param  list<Loop>  $loops  most growth first
     * @param  list<Weight>  $weights
     * @param  list<Hung>  $hung  parts that nothing but their tubes carries
     */
    private function __construct(
        public Figure $temperature,
        public array $loops,
        public array $weights,
        public array $hung,
    ) {}

    public static function of(Job $job, Layout $layout, Shop $shop): self
    {
        $temperature = $job->overrides->on(self::temperature($job, $shop));
        $expansion = $shop->catalogue->expansion($job->metal);
        $loops = [
            ...self::betweenParts($layout, $expansion, $temperature->value, $job),
            ...self::betweenPorts($layout, $expansion, $temperature->value, $job),
        ];
        usort($loops, static fn (Loop $a, Loop $b): int => [$a->taken !== '', $b->growthMm]
            <=> [$b->taken !== '', $a->growthMm]);

        return new self(
            $temperature,
            $loops,
            self::weights($layout, $job, $shop),
            Hung::all($job, $layout, $temperature->value, $shop->rules),
        );
    }

    /** @return list<Notice> */
    public function notices(Job $job, Shop $shop): array
    {
        $bad = array_values(array_filter(
            $this->loops,
            static fn (Loop $one): bool => $one->isRigid()
                && $one->growthMm > $shop->rules->value(count($one->runs) > 1 ? 'growth.ports' : 'growth.most'),
        ));

        $notices = $this->sags($job, $shop);

        return $bad === [] ? $notices : [...$notices, Notice::caution('set', sprintf(
            '%s wants to grow by %s when it is hot, and nothing gives way. %s',
            ucfirst($bad[0]->name),
            Quantity::Length->read($bad[0]->growthMm, $job->units),
            $bad[0]->advice,
        ))];
    }

    /** @return list<Notice> of parts that want a bracket */
    private function sags(Job $job, Shop $shop): array
    {
        $notices = [];
        foreach ($this->hung as $one) {
            $path = sprintf('set.parts[%d].mass', array_search($one->part, $job->set->parts, true));
            if ($one->part->kind === PartKind::Turbine) {
                $notices[] = Notice::caution($path, sprintf(
                    '%s hangs %s out on its tubes alone, %s on their flanges: put a bracket with rod ends under it for %s, bumps counted in. It lets the manifold grow; primaries carry no turbo.',
                    $one->part->name,
                    Quantity::Length->read($one->armMm, $job->units),
                    Quantity::Moment->show($one->momentNm(), $job->units),
                    Quantity::Force->show($one->bumpN, $job->units),
                ));
            } elseif ($one->sagMm > $shop->rules->value('growth.sag')) {
                $notices[] = Notice::caution(
                    $path,
                    sprintf(
                        '%s sags %s on its tubes alone when they are hot: put a bracket under it for %s, bumps counted in.',
                        $one->part->name,
                        Quantity::Length->read($one->sagMm, $job->units),
                        Quantity::Force->show($one->bumpN, $job->units),
                    ),
                );
            }
        }

        return $notices;
    }

    private static function temperature(Job $job, Shop $shop): Figure
    {
        $rule = $shop->rules->get(match ($job->purpose) {
            Purpose::TurboManifold => 'growth.manifold',
            Purpose::Header, Purpose::Collector => 'growth.header',
            Purpose::TurboDownpipe => 'growth.downpipe',
            Purpose::System, Purpose::Repair => 'growth.system',
        });
        $expansion = $shop->catalogue->expansion($job->metal);

        return Figure::of('growth.temperature', 'Metal at work', Quantity::Temperature, $rule->value, new Reason(
            'What the tube itself comes to, not the gas. Growth is the mean expansion from 20 °C times the length times the rise.',
            [
                $rule->asInput(),
                Input::word('Metal', $job->metal),
                Input::word('Mean expansion', sprintf('%.1f µm/m·K', $expansion->meanUmMK($rule->value))),
            ],
            $expansion->source,
            'A temperature measured on the tube.',
        ));
    }

    /** @return list<Loop> runs that are tied to a part at either end */
    private static function betweenParts(
        Layout $layout,
        Expansion $expansion,
        float $temperatureC,
        Job $job,
    ): array {
        $loops = [];
        foreach ($layout->runs as $routed) {
            [$start, $end] = [$routed->spec->start, $routed->spec->end];
            if (! self::isTied($start) || ! self::isTied($end) || $job->collectorOf($routed->spec->letter) !== null) {
                continue;
            }
            $mm = $expansion->growthMm($routed->line->start->at->distanceTo($routed->line->end->at), $temperatureC);
            $loops[] = new Loop(
                sprintf('%s, between %s and %s', $routed->spec->letter, self::named($start), self::named($end)),
                [$routed->spec->letter],
                $mm,
                $end->kind === EndKind::Slip ? 'the slip at its end' : '',
                $end->kind === EndKind::Slip
                    ? 'Leave the slip so much room beyond its depth mark.'
                    : 'A flexible section ahead of the first hanger, a slip, or a hanger that swings.',
            );
        }

        return $loops;
    }

    /** @return list<Loop> pairs of ports whose runs are tied to one collector: the widest of each collector */
    private static function betweenPorts(Layout $layout, Expansion $expansion, float $temperatureC, Job $job): array
    {
        $loops = [];
        foreach ($job->set->collectors as $collector) {
            $runs = array_values(array_filter(array_map($layout->run(...), $collector->runs)));
            $widest = null;
            foreach ($runs as $i => $one) {
                foreach (array_slice($runs, $i + 1) as $other) {
                    $apartMm = $one->line->start->at->distanceTo($other->line->start->at);
                    if (self::isTied($one->spec->start) && self::isTied($other->spec->start)
                        && $apartMm > ($widest[2] ?? 0.0)) {
                        $widest = [$one, $other, $apartMm];
                    }
                }
            }
            if ($widest === null) {
                continue;
            }
            [$one, $other, $apartMm] = $widest;
            $isSlip = $collector->entry === CollectorEntry::Slip || $one->spec->end->kind === EndKind::Slip;
            $loops[] = new Loop(
                sprintf(
                    '%s and %s, between %s and %s round %s',
                    $one->spec->letter,
                    $other->spec->letter,
                    self::named($one->spec->start),
                    self::named($other->spec->start),
                    $collector->name,
                ),
                [$one->spec->letter, $other->spec->letter],
                $expansion->growthMm($apartMm, $temperatureC),
                $isSlip ? 'the slips into the collector' : '',
                $isSlip
                    ? 'Room for it beyond the depth marks, and the collector held on its own bracket.'
                    : 'Slip joints in the outer runs, or slotted holes at the outer ports; bends take the rest.',
            );
        }

        return $loops;
    }

    private static function isTied(RunEnd $end): bool
    {
        return ! in_array($end->kind, [EndKind::Open, EndKind::Saddle], true);
    }

    private static function named(RunEnd $end): string
    {
        return $end->name === '' ? 'its end' : $end->name;
    }

    /** @return list<Weight> of every run that begins at a part */
    private static function weights(Layout $layout, Job $job, Shop $shop): array
    {
        $densityKgM3 = $shop->catalogue->metal($job->metal)->densityKgM3;
        $weights = [];
        foreach ($layout->runs as $routed) {
            if (self::isTied($routed->spec->start)) {
                $tubeKg = $routed->tube->metalAreaMm2() * $routed->line->lengthMm * $densityKgM3 * 1e-9;
                $weights[] = self::weight($routed, $tubeKg, $job);
            }
        }

        return $weights;
    }

    private static function weight(RoutedRun $routed, float $tubeKg, Job $job): Weight
    {
        $lengthMm = $routed->line->lengthMm;
        $masses = array_map(
            static fn (int $i): array => [$lengthMm * ($i + 0.5) / self::ELEMENTS, $tubeKg / self::ELEMENTS],
            range(0, self::ELEMENTS - 1),
        );
        $part = $job->set->partAfter($routed->spec->letter);
        $partKg = $part->massKg ?? 0.0;
        if ($partKg > 0.0) {
            $masses[] = [$lengthMm, $partKg];
        }
        $supports = [self::named($routed->spec->start) => 0.0];
        foreach ($job->set->hangers as $hanger) {
            if ($hanger->run === $routed->spec->letter) {
                $supports[$hanger->name] = min($lengthMm, $hanger->station->mm);
            }
        }
        foreach ($routed->spec->fittings as $i => $fitting) {
            if ($fitting->kind === FittingKind::Hanger) {
                $name = sprintf('hanger %sB%d', $routed->spec->letter, $i + 1);
                $supports[$name] = min($lengthMm, $fitting->station->mm);
            }
        }
        asort($supports);
        $allKg = $tubeKg + $partKg;
        $end = $routed->line->end->at->minus($routed->line->start->at);
        $outMm = ($tubeKg * self::armMm($routed) + $partKg * hypot($end->x, $end->y)) / max(1e-9, $allKg);

        return new Weight($routed->spec->letter, $allKg, $outMm, Weight::shared($supports, $masses));
    }

    /** How far out, level, the middle of its mass is from its start. */
    private static function armMm(RoutedRun $routed): float
    {
        $points = $routed->line->inSteps(60);
        $start = $points[0];
        $sum = new Vector(0, 0, 0);
        foreach ($points as $point) {
            $sum = $sum->plus($point);
        }
        $middle = $sum->times(1 / count($points));

        return hypot($middle->x - $start->x, $middle->y - $start->y);
    }
}
