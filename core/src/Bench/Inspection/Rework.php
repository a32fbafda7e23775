<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench\Inspection;

use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Bench\LogEntry;
use UpsweptBead\Core\Bench\Measure;
use UpsweptBead\Core\Bench\StepKind;

/**
 * Steps that follow from what was found: a joint that is not accepted is dressed, or purged and welded again, and looked
 * at once more. Their ids are those of the joint's own steps with the number of the round.
 */
final readonly class Rework
{
    private const MOST_ROUNDS = 9;

    /** @param  array<string, BenchStep>  $steps  of the plan, by id */
    private function __construct(private array $steps) {}

    /**
     * @param  list<BenchStep>  $steps  of the plan
     * @param  array<string, LogEntry>  $done  the entry that closed each step that is done
     * @return array<string, list<BenchStep>> what follows from inspections, by the step it stands behind
     */
    public static function of(array $steps, array $done): array
    {
        $isFound = array_filter($done, static fn (LogEntry $one): bool => $one->inspected !== null);
        if ($isFound === []) {
            return [];
        }
        $rework = new self(array_column($steps, null, 'id'));
        $added = [];
        foreach ($steps as $step) {
            if ($step->inspection !== null) {
                $added[$step->id] = $rework->after($step, $done);
            }
        }

        return array_filter($added, static fn (array $some): bool => $some !== []);
    }

    /**
     * @param  array<string, LogEntry>  $done
     * @return list<BenchStep>
     */
    private function after(BenchStep $inspection, array $done): array
    {
        $all = [];
        $last = $inspection;
        for ($round = 2; $round <= self::MOST_ROUNDS; $round++) {
            $outcome = ($done[$last->id] ?? null)->inspected->outcome ?? Outcome::Accept;
            $steps = $this->round($inspection, $outcome, $round, $last->id);
            if ($steps === []) {
                break;
            }
            array_push($all, ...$steps);
            $last = $steps[count($steps) - 1];
        }

        return $all;
    }

    /** @return list<BenchStep> */
    private function round(BenchStep $inspection, Outcome $outcome, int $round, string $after): array
    {
        $joint = $inspection->subject;
        $cutOut = self::cutOut("cut-out.$joint", $joint, $this->steps["tack.$joint"]->measures ?? []);
        $again = match ($outcome) {
            Outcome::Accept => [],
            Outcome::Dress => [self::dress($joint)],
            Outcome::Add => ["purge.$joint", "weld.$joint", "cool.$joint", $inspection->id],
            Outcome::Redo => [$cutOut, "purge.$joint", "weld.$joint", "cool.$joint", $inspection->id],
        };
        $steps = [];
        foreach ($again as $one) {
            $step = $one instanceof BenchStep ? $one : $this->steps[$one] ?? null;
            if ($step === null) {
                continue;
            }
            $title = match (true) {
                $step === $one => $step->title,
                $step->kind === StepKind::Weld && $outcome === Outcome::Add => "Add a pass to $joint",
                default => "$step->title, again",
            };
            $steps[] = $step->again("$step->id.$round", $title, $after, $inspection->group);
            $after = "$step->id.$round";
        }

        return $steps;
    }

    private static function dress(string $joint): BenchStep
    {
        return new BenchStep(
            "dress.$joint",
            StepKind::Prepare,
            $joint,
            "Dress $joint",
            [
                'Stainless-only brush, or pickling paste: every colour off, inside as far as it can be reached.',
                'Paste holds hydrofluoric acid: gloves, goggles, air; rinse and neutralise as its maker says.',
            ],
            null,
            [],
        );
    }

    /** @param  list<Measure>  $measures */
    public static function cutOut(string $id, string $joint, array $measures): BenchStep
    {
        return new BenchStep(
            $id,
            StepKind::Prepare,
            $joint,
            "Cut $joint out",
            [
                'Never weld over sugar or a crack: both edges back to bright, sound metal, all round.',
                'Square the ends and see what the run has lost: let a ring in, or move the joint.',
                'Clean, tack it again with argon behind it, and check the fit against its marks.',
            ],
            null,
            $measures,
        );
    }
}
