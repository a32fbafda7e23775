<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Solve\Route\Insertion\Stuck;
use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Layout\Layout;

/** Whether a run with a clamp joint can come out again with all the rest in place. */
final readonly class ServiceCheck
{
    /**
     * @param  bool|null  $comesOut  null where it has not been worked out
     * @param  list<string>  $by  what keeps it in
     */
    private function __construct(
        public string $run,
        public string $clamps,
        public ?bool $comesOut,
        public array $by,
    ) {}

    /** @return list<self> of every run that has a clamp joint */
    public static function all(Job $job, Layout $layout, ?Access $access): array
    {
        $checks = [];
        foreach ($layout->runs as $routed) {
            $spec = $routed->spec;
            $clamps = self::clamps($spec, $job);
            if ($clamps === []) {
                continue;
            }
            $tied = self::tied($spec, $job);
            $stuck = self::of($spec->letter, $access->alone ?? []);
            $checks[] = new self(
                $spec->letter,
                implode(', ', $clamps),
                $tied !== [] ? false : ($stuck === null ? null : $stuck->by === []),
                $tied !== [] ? $tied : ($stuck->by ?? []),
            );
        }

        return $checks;
    }

    /** @return list<string> names of its ends that a clamp holds */
    private static function clamps(RunSpec $spec, Job $job): array
    {
        $clamps = [];
        foreach ([$spec->start, $spec->end] as $end) {
            if (in_array($end->kind, [EndKind::VBand, EndKind::Slip, EndKind::Flare], true)) {
                $clamps[] = $end->name === '' ? 'its end' : $end->name;
            }
        }
        $collector = $job->collectorOf($spec->letter);

        return $collector !== null && $collector->entry === CollectorEntry::Slip
            ? [...$clamps, $collector->name]
            : $clamps;
    }

    /** @return list<string> what it is welded to at an end, so that it never comes out by itself */
    private static function tied(RunSpec $spec, Job $job): array
    {
        $tied = [];
        foreach ([$spec->start, $spec->end] as $end) {
            if (in_array($end->kind, [EndKind::Socket, EndKind::Saddle], true)) {
                $tied[] = 'welded to '.($end->name === '' ? 'its end' : $end->name);
            }
        }
        $collector = $job->collectorOf($spec->letter);
        if ($collector !== null && $collector->entry !== CollectorEntry::Slip && $spec->end->kind === EndKind::Open) {
            $tied[] = $collector->entry === CollectorEntry::Butt
                ? "welded to $collector->name"
                : "welded into $collector->name";
        }

        return $tied;
    }

    /** @param  list<Stuck>  $alone */
    private static function of(string $letter, array $alone): ?Stuck
    {
        foreach ($alone as $one) {
            if ($one->tube === $letter) {
                return $one;
            }
        }

        return null;
    }
}
