<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Stage\Joint\PlacedFitting;
use UpsweptBead\Core\Stage\Layout\Gap;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\NutReach;

/** What is looked at in the trial fit of one job: what its runs come near to, its ends, its nuts and its sensors. */
final readonly class TrialFit
{
    /** Most lines of what is near: the tightest come first, and a list that is not read is none. */
    private const MOST_NEAR = 12;

    private function __construct(private Job $job, private Layout $layout) {}

    /**
     * @param  list<NutReach>  $nuts
     * @param  list<PlacedFitting>  $fittings
     * @param  float  $swingDeg  that a spanner needs to take the next flats of a nut
     * @return list<TrialLine>
     */
    public static function of(Job $job, Layout $layout, array $nuts, array $fittings, float $swingDeg): array
    {
        $list = new self($job, $layout);

        return [
            ...$list->ends(),
            ...$list->near(),
            ...$list->nuts($nuts, $swingDeg),
            ...array_map(static fn (PlacedFitting $one): TrialLine => new TrialLine(sprintf(
                '%s on %s: screw one into a loose bung held at its mark. Body, lead and spanner go in and come out.',
                $one->fitting->kind->label(),
                $one->pieceMark,
            ), [$one->run]), $fittings),
        ];
    }

    /** @return list<TrialLine> how each kind of end is held while it is tried */
    private function ends(): array
    {
        $lines = [];
        $of = [];
        foreach ($this->layout->runs as $routed) {
            foreach ([$routed->spec->start, $routed->spec->end] as $end) {
                $of[$end->kind->value][] = [$routed->spec->letter, $end];
            }
        }
        $texts = [
            EndKind::Flange->value => 'Gasket in, flange drawn up with every bolt: %s.',
            EndKind::VBand->value => 'V-band closed with a plain nut, not the locking one: %s.',
            EndKind::Slip->value => 'In to the depth mark, and turned to its line: %s.',
            EndKind::Flare->value => 'Flare on its ball, drawn up by its loose flange: %s.',
            EndKind::Socket->value => 'In to the depth mark: %s.',
            EndKind::Saddle->value => 'Seats without light on the side of its main; the hole is not cut yet: %s.',
        ];
        foreach ($texts as $kind => $text) {
            $ends = $of[$kind] ?? [];
            if ($ends !== []) {
                $names = array_unique(array_map(static fn (array $one): string => self::named($one[1]), $ends));
                $lines[] = new TrialLine(sprintf($text, implode(', ', $names)), array_column($ends, 0));
            }
        }
        $into = [];
        foreach ($this->layout->runs as $routed) {
            $collector = $this->job->collectorOf($routed->spec->letter);
            if ($collector !== null && $routed->spec->end->kind === EndKind::Open) {
                $into[$collector->name][] = $routed->spec->letter;
            }
        }
        foreach ($into as $name => $letters) {
            $lines[] = new TrialLine("Into $name to the depth mark, each still turning in it.", $letters);
        }

        return $lines;
    }

    private static function named(RunEnd $end): string
    {
        return $end->name === '' ? 'the end' : $end->name;
    }

    /** @return list<TrialLine> what the runs come near to, tightest first */
    private function near(): array
    {
        $kinds = [];
        foreach ($this->job->set->keepOuts as $one) {
            $kinds[$one->name] = $one->kind;
        }
        $lines = $pairs = $runs = [];
        foreach ($this->layout->gaps as $gap) {
            $kind = $kinds[$gap->other] ?? null;
            if ($this->layout->run($gap->run) === null) {
                continue;
            }
            if ($gap->isRun && $this->areApart($gap->run, $gap->other)) {
                $pairs[] = "$gap->run and $gap->other {$this->show($gap->gapMm)}";
                array_push($runs, $gap->run, $gap->other);
            } elseif (! $gap->isRun && $kind !== null && count($lines) < self::MOST_NEAR) {
                $lines[] = new TrialLine($this->passes($gap, $kind), [$gap->run]);
            }
        }

        return $pairs === [] ? $lines : [...$lines, new TrialLine(
            'Between the runs a strip as thick as the gap pulls through, cold and with the engine rocked: '
                .implode(', ', array_slice($pairs, 0, self::MOST_NEAR)).'.',
            array_values(array_unique($runs)),
        )];
    }

    /** Whether two runs only come near to each other; a branch touches what it stands on. */
    private function areApart(string $one, string $other): bool
    {
        foreach ($this->layout->placement->branches as $branch) {
            if (in_array([$branch->letter, $branch->spec->on], [[$one, $other], [$other, $one]], true)) {
                return false;
            }
        }

        return $this->layout->run($other) !== null;
    }

    private function show(float $mm): string
    {
        return Quantity::Length->read(max(0.0, $mm), $this->job->units);
    }

    private function passes(Gap $gap, KeepOutKind $kind): string
    {
        return sprintf(
            '%s passes %s at %s, %s needed: %s.',
            $gap->run,
            $gap->other,
            $this->show($gap->gapMm),
            $this->show($gap->neededMm),
            match ($kind) {
                KeepOutKind::Steering => 'sweep the steering through its whole range, not only to the stops',
                KeepOutKind::Tyre => 'full lock both ways, at full droop and full bump',
                KeepOutKind::Boot, KeepOutKind::Plastic => 'a hand fits between; else a shield',
                KeepOutKind::Line => 'follow the line to its clips; nothing may sag onto the tube',
                KeepOutKind::OilDrain => 'it drops all the way, and does not rest on the tube',
                KeepOutKind::Starter => 'the starter comes out and goes in past it',
                KeepOutKind::Ground => 'at full bump, with the load on',
                KeepOutKind::NutAndSocket => 'the socket goes on and turns',
                KeepOutKind::PlugAndSocket => 'the boot and the plug socket go on and come off',
                KeepOutKind::Frame, KeepOutKind::Block => 'rock the engine on its mounts',
                KeepOutKind::Collector, KeepOutKind::Other => 'a feeler of that much goes between',
            },
        );
    }

    /**
     * @param  list<NutReach>  $nuts
     * @return list<TrialLine>
     */
    private function nuts(array $nuts, float $swingDeg): array
    {
        if ($nuts === []) {
            return [];
        }
        $tight = array_values(array_filter($nuts, static fn (NutReach $one): bool => $one->swingDeg < 2 * $swingDeg));
        usort($tight, static fn (NutReach $a, NutReach $b): int => $a->swingDeg <=> $b->swingDeg);
        $lines = array_map(static fn (NutReach $one): TrialLine => new TrialLine(sprintf(
            '%s: a spanner swings %.0f° there%s. Try it with the one it will be done up with.',
            ucfirst($one->nut),
            $one->swingDeg,
            $one->inTheWay === [] ? '' : ', beside '.implode(', ', $one->inTheWay),
        ), self::runOf($one)), array_slice($tight, 0, self::MOST_NEAR));

        return $lines === [] ? [new TrialLine('Every nut takes its spanner, with all runs in.')] : $lines;
    }

    /** @return list<string> */
    private static function runOf(NutReach $nut): array
    {
        return preg_match('/nut ([A-Z]+)\d/', $nut->nut, $found) === 1 ? [$found[1]] : [];
    }
}
