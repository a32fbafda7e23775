<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\Fitting;
use UpsweptBead\Core\Job\Run\FittingKind;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Cut\KeepAway;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** A threaded boss for a sensor on the side of a tube, and where it may sit. */
final readonly class Bung
{
    /** Share of upright from which no side of a tube is its top. */
    private const UPRIGHT = 0.98;

    /** @param  list<Piece>  $pieces */
    private function __construct(
        private RoutedRun $routed,
        private array $pieces,
        private Job $job,
        private ShopRules $rules,
    ) {}

    /**
     * @param  list<Piece>  $pieces
     * @return list<Notice> what is wrong with the places of a run's fittings
     */
    public static function notices(RoutedRun $routed, array $pieces, Job $job, ShopRules $rules): array
    {
        $bungs = new self($routed, $pieces, $job, $rules);
        $notices = [];
        foreach ($routed->spec->fittings as $i => $fitting) {
            $path = "$routed->path.fittings[$i]";
            array_push(
                $notices,
                ...$bungs->along($fitting, "$path.station"),
                ...$bungs->upright($fitting, "$path.fromTop"),
                ...match ($fitting->kind) {
                    FittingKind::TemperatureProbe => $bungs->probe($fitting, "$path.station"),
                    FittingKind::OxygenSensorBung => [
                        ...$bungs->lean($fitting, "$path.fromTop"),
                        ...$bungs->mixed($fitting, "$path.station"),
                    ],
                    FittingKind::Bracket, FittingKind::Hanger, FittingKind::Crack => [],
                },
            );
        }

        return $notices;
    }

    /** @return list<Notice> */
    private function along(Fitting $fitting, string $path): array
    {
        $notices = [];
        $station = $fitting->station->mm;
        $clear = KeepAway::clearMm($fitting->kind, $this->routed->tube->wallMm);
        foreach ([0.0, ...array_map(static fn (Piece $piece): float => $piece->span->toMm, $this->pieces)] as $joint) {
            $off = abs($station - $joint);
            if ($off < $clear) {
                $notices[] = Notice::problem(
                    $path,
                    "The {$fitting->kind->short()} sits {$this->show($off)} from a joint; it needs {$this->show($clear)}.",
                );
            }
        }
        $beyond = $station - $this->routed->run->lengthMm();

        return $beyond > 0.0
            ? [...$notices, Notice::problem($path, "The {$fitting->kind->short()} lies {$this->show($beyond)} beyond the end of the run.")]
            : $notices;
    }

    /** @return list<Notice> */
    private function upright(Fitting $fitting, string $path): array
    {
        return abs($this->routed->line->frameAt($fitting->station->mm)->forward->z) > self::UPRIGHT
            ? [Notice::caution($path, 'The tube stands nearly upright here, so no side of it is the top.')]
            : [];
    }

    /** @return list<Notice> */
    private function probe(Fitting $fitting, string $path): array
    {
        $station = $fitting->station->mm;
        [$least, $most] = [$this->rules->value('egt.least'), $this->rules->value('egt.most')];

        return $station >= $least && $station <= $most
            ? []
            : [
                Notice::caution(
                    $path,
                    sprintf(
                        'A temperature probe sits %s to %s from its port, where every cylinder is measured alike; this one %s.',
                        $this->show($least),
                        $this->show($most),
                        $this->show($station),
                    ),
                ),
            ];
    }

    /** @return list<Notice> */
    private function lean(Fitting $fitting, string $path): array
    {
        $off = abs($fitting->fromTopDeg - 360 * round($fitting->fromTopDeg / 360));

        return match (true) {
            $off > $this->rules->value('bung.most_off_top') => [
                Notice::problem(
                    $path,
                    'A sensor in the lower half fills with condensate; keep it between 9 and 3 o’clock over the top.',
                ),
            ],
            $off > $this->rules->value('bung.best_off_top') => [
                Notice::caution($path, 'A sensor sits best between 10 and 2 o’clock.'),
            ],
            default => [],
        };
    }

    /** @return list<Notice> a sensor behind where another run comes back in reads both gases */
    private function mixed(Fitting $fitting, string $path): array
    {
        $notices = [];
        foreach ($this->job->runs as $run) {
            $saddle = $run->end->saddle;
            $behindMm = $saddle === null ? 0.0 : $fitting->station->mm - $saddle->station->mm;
            if ($saddle?->on === $this->routed->spec->letter && $behindMm > 0.0) {
                $notices[] = Notice::caution(
                    $path,
                    "The sensor sits {$this->show($behindMm)} behind where run $run->letter comes back in, and reads both gases mixed. Put it upstream of that.",
                );
            }
        }

        return $notices;
    }

    private function show(float $mm): string
    {
        return Quantity::Length->read($mm, $this->job->units);
    }
}
