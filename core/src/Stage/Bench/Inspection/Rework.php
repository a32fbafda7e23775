<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench\Inspection;

use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Bench\Measure;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * Steps that follow from what was found: a joint that is not accepted is dressed, or purged and welded again, and
 * looked at once more. They are the joint's own steps in another round.
 */
final readonly class Rework
{
    private const MOST_ROUNDS = 9;

    public const DISC = 'Rotating disc: eyes and ears covered, its guard on.';

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
        $cutOut = self::cutOut(StepKind::CutOut, $joint, $this->steps[StepKind::Tack->key($joint)]->measures ?? []);
        $weld = StepKind::keys($joint, StepKind::Purge, StepKind::Weld, StepKind::Cool, StepKind::Inspect);
        $wanted = match ($outcome) {
            Outcome::Accept => [],
            Outcome::Dress => [self::dress($joint)],
            Outcome::Add => $weld,
            Outcome::Redo => [$cutOut, ...$weld],
        };
        $steps = [];
        foreach ($wanted as $one) {
            $step = $one instanceof BenchStep ? $one : $this->steps[$one] ?? null;
            if ($step === null) {
                continue;
            }
            $title = match (true) {
                $step === $one => $step->title,
                $step->kind === StepKind::Weld && $outcome === Outcome::Add => "Add a pass to $joint",
                default => "$step->title, again",
            };
            $steps[] = $again = $step->again($round, $title, $after, $inspection->group);
            $after = $again->id;
        }

        return $steps;
    }

    private static function dress(string $joint): BenchStep
    {
        return new BenchStep(
            StepKind::Dress,
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

    /**
     * @param  StepKind  $kind  of the step: a joint of a tube that is there already is cut out instead of tacked
     * @param  list<Measure>  $measures
     */
    public static function cutOut(StepKind $kind, string $joint, array $measures): BenchStep
    {
        return new BenchStep(
            $kind,
            $joint,
            "Cut $joint out",
            [
                'Never weld over sugar or a crack: both edges back to bright, sound metal, all round.',
                'Square the ends and see what the run has lost: let a ring in, or move the joint.',
                'Clean, tack it again with argon behind it, and check the fit against its marks.',
                self::DISC,
            ],
            null,
            $measures,
        );
    }
}
