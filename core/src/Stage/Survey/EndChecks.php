<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Collector\OutletLimit;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\BoreShape;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;

/** Whether tubes fit the openings of their ports, and whether the open ends lie where they may and blow at nothing. */
final readonly class EndChecks
{
    /** A ring this much wider than its tube (mm) is no butt: .060 in is too loose; common practice. */
    private const LOOSE_MM = 1.4;

    private function __construct(private Job $job, private Shop $shop) {}

    /** @return list<Notice> */
    public static function notices(Job $job, Shop $shop): array
    {
        $checks = new self($job, $shop);
        $notices = $checks->bores();
        foreach ($job->runs as $i => $run) {
            array_push($notices, ...$checks->isOutlet($run) ? $checks->outlet($run, "runs[$i].end.at") : []);
        }

        return $notices;
    }

    /** @return list<Notice> one for all ports of which it is true alike */
    private function bores(): array
    {
        $paths = $ports = [];
        foreach ($this->job->runs as $i => $run) {
            foreach ($this->bore($run) as $message) {
                $paths[$message] ??= "runs[$i].start.bore";
                $ports[$message][] = $run->letter;
            }
        }

        return array_map(
            static fn (string $message): Notice => Notice::caution(
                $paths[$message],
                sprintf(
                    $message,
                    (count($ports[$message]) > 1 ? 'ports ' : 'port ').implode(', ', $ports[$message]),
                ),
            ),
            array_keys($ports),
        );
    }

    /** @return list<string> messages with a place for the port */
    private function bore(RunSpec $run): array
    {
        if ($run->start->bore === null) {
            return [];
        }
        try {
            $tube = $this->shop->catalogue->tube($run->tubeId);
        } catch (UnknownStock) {
            return [];
        }
        $looseMm = $run->start->bore->width->mm - $tube->odMm;
        if ($run->start->kind === EndKind::VBand && $run->start->bore->shape === BoreShape::Round && $looseMm > 0.0) {
            return $looseMm <= self::LOOSE_MM ? [] : [
                "At %s the ring is {$this->show($looseMm)} wider than the tube, too loose for a butt: put a sleeve between, or weld a fillet inside and out.",
            ];
        }
        $messages = [];
        $short = BoreFit::shortMm($run, $tube);
        if ($short > 0.0) {
            $messages[] = "At %s the way round is {$this->show($short)} longer than round the inside of the tube: the gas would meet an edge. Flare the end, or take a tube with a bore of {$this->show($run->start->bore->roundMm())}.";
        }
        $need = $tube->odMm * $this->shop->rules->value('fit.form_length');
        $straight = $this->job->set->routing->on($this->shop->rules->routing())->firstStraightMm;
        if ($run->start->bore->shape !== BoreShape::Round && $straight < $need - 0.01) {
            $messages[] = "Forming a tube to %s takes about {$this->show($need)} of straight; {$this->show($straight)} is kept there. Keep more, or form it before the bend is cut.";
        }

        return $messages;
    }

    private function isOutlet(RunSpec $run): bool
    {
        $collected = array_merge(
            ...array_map(static fn (CollectorSpec $one): array => $one->runs, $this->job->set->collectors),
        );

        return $run->end->kind === EndKind::Open && ! in_array($run->letter, $collected, true);
    }

    /** @return list<Notice> */
    private function outlet(RunSpec $run, string $path): array
    {
        $end = $run->end->frame();
        $notices = array_map(
            fn (OutletLimit $limit): ?Notice => $this->limited($run->letter, $end->at, $limit, $path),
            $this->job->set->outlets,
        );
        $solids = Surroundings::surveyed($this->job, $this->shop);
        foreach (Jet::of($end, $solids, $this->shop->rules->value('outlet.jet')) as $hit) {
            $notices[] = Notice::caution(
                $path,
                "The open end of run $run->letter blows at {$hit->solid->id}, {$this->show($hit->aheadMm)} ahead of it. Turn it away, or shield what is there.",
            );
        }

        return array_values(array_filter($notices));
    }

    private function limited(string $letter, Vector $at, OutletLimit $limit, string $path): ?Notice
    {
        $place = $limit->axis->of($at);
        if ($limit->least !== null && $limit->shortMm($at) > 0.0) {
            return Notice::caution(
                $path,
                sprintf(
                    '%s: the open end of run %s lies %s %s; it must be %s or more, so it is %s short.',
                    $limit->name,
                    $letter,
                    $this->show($place),
                    $limit->axis->value,
                    $this->show($limit->least->mm),
                    $this->show($limit->shortMm($at)),
                ),
            );
        }
        if ($limit->most !== null && $limit->overMm($at) > 0.0) {
            return Notice::caution(
                $path,
                sprintf(
                    '%s: the open end of run %s lies %s %s; no more than %s is allowed, so it is %s over.',
                    $limit->name,
                    $letter,
                    $this->show($place),
                    $limit->axis->value,
                    $this->show($limit->most->mm),
                    $this->show($limit->overMm($at)),
                ),
            );
        }

        return null;
    }

    private function show(float $mm): string
    {
        return Quantity::Length->show($mm, $this->job->units);
    }
}
