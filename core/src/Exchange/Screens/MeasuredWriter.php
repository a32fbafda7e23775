<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Screens;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Measured\MeasuredEnd;
use UpsweptBead\Core\Job\Measured\MeasuredPoint;
use UpsweptBead\Core\Job\Measured\ReadingSpec;
use UpsweptBead\Core\Solve\Adjust\Adjustment;
use UpsweptBead\Core\Stage\Survey\ClosingDoubt;
use UpsweptBead\Core\Stage\Survey\MeasuredSheet;
use UpsweptBead\Core\Stage\Survey\ReadingWords;
use UpsweptBead\Core\Stage\Survey\Surveyed;
use UpsweptBead\Core\Stage\Survey\TwoAnswers;
use UpsweptBead\Core\Stage\Survey\Walk;
use UpsweptBead\Core\Stage\Survey\WalkStep;

/** Writes what the readings of a job come to: how sure every end is, and how each reading stands to the others. */
final readonly class MeasuredWriter
{
    private function __construct(private Surveyed $surveyed, private UnitSystem $units) {}

    /** @return array<string, mixed>|null null where nothing is measured */
    public static function toArray(Surveyed $surveyed, UnitSystem $units): ?array
    {
        return $surveyed->adjustment === null
            ? null
            : (new self($surveyed, $units))->write($surveyed->adjustment);
    }

    /** @return array<string, mixed> */
    private function write(Adjustment $now): array
    {
        $measured = $this->surveyed->job->measured;
        $doubts = [];
        foreach ($this->surveyed->doubts as $letter => $doubt) {
            $doubts[] = $this->doubt("$letter", $doubt);
        }

        return [
            'ends' => array_map(fn (MeasuredEnd $one): array => $this->end($one, $now), $measured->ends),
            'points' => array_map(fn (MeasuredPoint $one): array => $this->point($one, $now), $measured->points),
            'readings' => array_map($this->reading(...), $measured->readings),
            'answers' => array_map(static fn (TwoAnswers $one): array => [
                'of' => $one->of,
                'isFacing' => $one->isFacing,
                'way' => $one->way?->value,
                'says' => $one->says,
            ], TwoAnswers::of($this->surveyed->answers, $now->sheet->unknowns)),
            'runs' => $doubts,
            'walk' => array_map(static fn (WalkStep $one): array => [
                'kind' => $one->kind->value,
                'of' => $one->of,
                'with' => $one->with,
                'way' => $one->way?->value,
                'toward' => $one->toward?->value,
                'says' => $one->says,
                'how' => $one->how,
                'isCheck' => $one->isCheck,
            ], Walk::of($this->surveyed)),
        ];
    }

    /** @return array<string, mixed> */
    private function end(MeasuredEnd $one, Adjustment $now): array
    {
        $name = $one->name();
        $isPlaceOpen = $this->surveyed->isPlaceOpen($name);
        $isDirectionOpen = $this->surveyed->isDirectionOpen($name);

        return [
            'run' => $one->letter,
            'isStart' => $one->isStart,
            'says' => ReadingWords::place($name),
            'isPlaceOpen' => $isPlaceOpen,
            'isDirectionOpen' => $isDirectionOpen,
            'sd' => $isPlaceOpen || ! $one->hasPlace ? null : $this->length($now->greatestSd($name)),
            'sdMm' => $isPlaceOpen || ! $one->hasPlace ? 0.0 : round($now->greatestSd($name), 2),
            'sdAngle' => $isDirectionOpen || ! $one->hasDirection
                ? null
                : Quantity::Angle->show($now->axisSd($name)[0], $this->units),
            'sdDeg' => $isDirectionOpen || ! $one->hasDirection ? 0.0 : round($now->axisSd($name)[0], 3),
        ];
    }

    /** @return array<string, mixed> */
    private function point(MeasuredPoint $one, Adjustment $now): array
    {
        $isOpen = $this->surveyed->isPlaceOpen($one->name);

        return [
            'name' => $one->name,
            'at' => $isOpen ? null : MeasuredSheet::inJob($now->estimate->places[$one->name])->toArray(),
            'sd' => $isOpen || $one->at !== null ? null : $this->length($now->greatestSd($one->name)),
        ];
    }

    /** @return array<string, mixed> */
    private function reading(ReadingSpec $one): array
    {
        $standing = $this->surveyed->standings[$one->id] ?? null;

        return [
            'id' => $one->id,
            'says' => ReadingWords::of($one),
            'off' => $standing?->offText($this->units),
            'within' => $standing === null ? null : $standing->quantity->show($standing->sigma, $this->units),
            'stands' => match (true) {
                $standing === null => 'left out',
                $standing->isSuspect => 'suspect',
                $standing->times === null => 'unchecked',
                default => 'agrees',
            },
        ];
    }

    /** @return array<string, mixed> */
    private function doubt(string $letter, ClosingDoubt $doubt): array
    {
        return [
            'letter' => $letter,
            'miss' => $this->length($doubt->missMm),
            'turn' => Quantity::Angle->show($doubt->missDeg, $this->units),
            'trim' => $this->length($doubt->trimMm),
            'retake' => $doubt->retake === '' ? null : $doubt->retake,
            'then' => $this->length($doubt->thenMm),
        ];
    }

    private function length(float $mm): string
    {
        return Quantity::Length->show($mm, $this->units);
    }
}
