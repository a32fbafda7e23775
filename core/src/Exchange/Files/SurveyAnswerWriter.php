<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Adjust\Adjustment;
use UpsweptBead\Core\Solve\Adjust\ClosingGap;
use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Fit;
use UpsweptBead\Core\Solve\Adjust\MirrorCheck;
use UpsweptBead\Core\Solve\Adjust\Rivals;
use UpsweptBead\Core\Solve\Adjust\SurveyProblem;
use UpsweptBead\Core\Solve\Adjust\Suspect;
use UpsweptBead\Core\Solve\Adjust\Suspects;
use UpsweptBead\Core\Solve\Adjust\Undetermined;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** Answers a survey in the open format, docs/survey-problem.md. Millimetres and degrees. */
final readonly class SurveyAnswerWriter
{
    public const FORMAT = 'survey-answer/1';

    private function __construct(private SurveyProblem $problem) {}

    /**
     * @param  list<array{what: string, field: string, by: list<array<string, string>>}>  $reasons
     * @return array<string, mixed>
     */
    public static function refused(string $case, array $reasons): array
    {
        return ['format' => self::FORMAT, 'case' => $case, 'status' => 'refused', 'reasons' => $reasons];
    }

    /** @return array<string, mixed> */
    public static function answer(SurveyProblem $problem): array
    {
        return (new self($problem))->toArray();
    }

    /** @return array<string, mixed> */
    private function toArray(): array
    {
        $rivals = Rivals::of($this->problem->sheet);
        $open = $this->undetermined($rivals[0]);
        if ($open !== []) {
            return self::refused($this->problem->name, $open);
        }
        if (count($rivals) > 1) {
            return [
                'format' => self::FORMAT,
                'case' => $this->problem->name,
                'status' => 'ambiguous',
                'solutions' => array_map(fn (Fit $one): array => [
                    'chi_square' => $one->equations->chiSquare,
                    'points' => $this->plainPoints($one->estimate),
                    'ends' => $this->plainEnds($one->estimate),
                ], $rivals),
            ];
        }
        $now = Adjustment::of($this->problem->sheet, $rivals[0]);
        $flat = $now === null ? [] : $this->flat($now);
        if ($now === null || $flat !== []) {
            return self::refused($this->problem->name, $flat);
        }
        $suspects = Suspects::of($now);

        return [
            'format' => self::FORMAT,
            'case' => $this->problem->name,
            'status' => 'adjusted',
            ...$this->main($now),
            'residuals' => $now->residuals,
            'mockups' => (object) $this->mockUps($now->estimate),
            'suspects' => array_map(static fn (Suspect $one): array => [
                'id' => $one->id, 'w' => $one->w, 'candidates' => $one->candidates,
            ], $suspects->all),
            'without' => $suspects->without === null ? null : $this->main($suspects->without),
            'weak' => $this->weak($now),
        ];
    }

    /** @return list<array{what: string, field: string, by: list<array<string, string>>}> */
    private function undetermined(Fit $fit): array
    {
        $open = Undetermined::of($this->problem->sheet, $fit);
        $reason = static fn (string $field): array => [
            'what' => 'undetermined', 'field' => $field, 'by' => $open->cure ?? [],
        ];
        $isEnd = fn (string $name): bool => in_array($name, $this->problem->sheet->ends, true);

        return $open === null ? [] : [
            ...array_map(
                static fn (string $name): array => $reason(($isEnd($name) ? 'ends' : 'points')."/$name/place"),
                $open->places,
            ),
            ...array_map(static fn (string $name): array => $reason("ends/$name/direction"), $open->axes),
        ];
    }

    /** @return list<array{what: string, field: string, by: list<array<string, string>>}> keep-outs whose points span nothing */
    private function flat(Adjustment $now): array
    {
        $reasons = [];
        foreach ($this->problem->keepOuts as $one) {
            if ($one->at($now) === null) {
                $reasons[] = ['what' => 'degenerate', 'field' => "keepouts/$one->id", 'by' => []];
            }
        }

        return $reasons;
    }

    /** @return array<string, mixed> what a set of readings comes to */
    private function main(Adjustment $now): array
    {
        $points = $ends = $keepOuts = $runs = [];
        foreach ($this->problem->points as $name) {
            $points[$name] = ['at' => $now->estimate->places[$name], 'sd' => $now->sd($name)];
        }
        foreach ($this->problem->sheet->ends as $name) {
            $ends[$name] = [
                'at' => $now->estimate->places[$name],
                'sd' => $now->sd($name),
                'dir' => $now->estimate->axes[$name],
                'sd_dir' => $now->axisSd($name),
                'cov' => $now->endCovariance($name),
            ];
        }
        foreach ($this->problem->keepOuts as $one) {
            $keepOuts[$one->id] = $one->at($now);
        }
        foreach ($this->problem->runs as $id => $run) {
            $runs[$id] = self::run(ClosingGap::of($now, $run['from'], $run['to'], $run['chain']));
        }

        return [
            'chi_square' => $now->equations->chiSquare,
            'dof' => $now->dof(),
            'points' => (object) $points,
            'ends' => (object) $ends,
            'keepouts' => (object) $keepOuts,
            'runs' => (object) $runs,
            'mirror' => $this->mirror($now),
        ];
    }

    /** @return array<string, mixed> */
    private static function run(ClosingGap $gap): array
    {
        return [
            'gap' => $gap->gap,
            'gap_sd' => $gap->gapSd,
            'size' => Xyz::length($gap->gap),
            'size_sd' => $gap->sizeSd,
            'angle' => $gap->angle,
            'angle_sd' => $gap->angleSd,
            'along' => $gap->along,
            'along_sd' => $gap->alongSd,
            'trim' => $gap->trimMm(),
            'retake' => $gap->retake,
        ];
    }

    /** @return list<array<string, mixed>>|null */
    private function mirror(Adjustment $now): ?array
    {
        $mirror = $this->problem->mirror;

        return $mirror === null ? null : array_map(static function (array $pair) use ($now, $mirror): array {
            $check = MirrorCheck::of($now, $pair[0], $pair[1], $mirror['plane'], $mirror['at'], $mirror['shift']);

            return [
                'pair' => $pair,
                'gap' => $check->gap,
                'gap_sd' => $check->gapSd,
                'angle' => $check->angle,
                'differs' => $check->isOther,
            ];
        }, $mirror['pairs']);
    }

    /** @return array<string, array<string, mixed>> */
    private function mockUps(Estimate $at): array
    {
        $all = [];
        foreach ($this->problem->mockUps as $id => ['from' => $from, 'mockUp' => $mockUp, 'stockClr' => $stockClr]) {
            $start = $from === null ? Xyz::ZERO : $at->places[$from];
            $axis = $from === null ? [1.0, 0.0, 0.0] : $at->axes[$from];
            $chain = $mockUp->chain;
            [$end, $travel] = $chain->end($start, $axis);
            [$moved] = $stockClr === null ? [$end] : $chain->withRadius($stockClr)->end($start, $axis);
            $all[$id] = [
                'bends' => $chain->bends,
                'last' => $chain->lastMm,
                'end' => ['at' => $end, 'dir' => $travel],
                'length' => $chain->lengthMm(),
                'moved' => Xyz::minus($moved, $end),
            ];
        }

        return $all;
    }

    /** @return list<array{id: string, what: string, sd: float}> */
    private function weak(Adjustment $now): array
    {
        $weak = [];
        foreach ([...$this->problem->points, ...$this->problem->sheet->ends] as $name) {
            $sd = $now->greatestSd($name);
            if ($sd > $this->problem->limits['place']) {
                $weak[] = ['id' => $name, 'what' => 'place', 'sd' => $sd];
            }
        }
        foreach ($this->problem->sheet->ends as $name) {
            [$sd] = $now->axisSd($name);
            if ($sd > $this->problem->limits['direction']) {
                $weak[] = ['id' => $name, 'what' => 'direction', 'sd' => $sd];
            }
        }

        return $weak;
    }

    private function plainPoints(Estimate $at): object
    {
        $points = [];
        foreach ($this->problem->points as $name) {
            $points[$name] = ['at' => $at->places[$name]];
        }

        return (object) $points;
    }

    private function plainEnds(Estimate $at): object
    {
        $ends = [];
        foreach ($this->problem->sheet->ends as $name) {
            $ends[$name] = ['at' => $at->places[$name], 'dir' => $at->axes[$name]];
        }

        return (object) $ends;
    }
}
