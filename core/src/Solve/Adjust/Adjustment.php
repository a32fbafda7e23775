<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * Readings adjusted by least squares, each weighted by its own standard deviation; the covariance follows from these
 * and is never scaled by how well they agree.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Adjustment
{
    /** A reading of which less than this is checked by others is not checked at all. */
    private const LEAST_CHECKED = 0.001;

    /**
     * @param  list<list<float>>  $covariance
     * @param  list<array{id: string, residual: float, w: float|null}>  $residuals
     */
    private function __construct(
        public Sheet $sheet,
        public Estimate $estimate,
        public Equations $equations,
        public array $covariance,
        public array $residuals,
    ) {}

    /** Null where something is not determined. */
    public static function of(Sheet $sheet, Fit $fit): ?self
    {
        $covariance = $sheet->unknowns->count === 0 ? [] : $fit->equations->covariance();

        return $covariance === null ? null : self::with($sheet, $fit, $covariance);
    }

    /** The same where something is not determined: what is keeps its doubt, the rest has one of many metres. */
    public static function loosely(Sheet $sheet, Fit $fit): self
    {
        return self::with($sheet, $fit, $sheet->unknowns->count === 0 ? [] : $fit->equations->looseCovariance());
    }

    /** @param  list<list<float>>  $covariance */
    private static function with(Sheet $sheet, Fit $fit, array $covariance): self
    {
        $residuals = [];
        foreach ($fit->equations->observations as $k => $one) {
            $row = $fit->equations->rows[$k];
            $seen = 0.0;
            foreach ($row as $i => $value) {
                foreach ($row as $j => $other) {
                    $seen += $value * $other * $covariance[$i][$j];
                }
            }
            $left = 1 - $seen;
            $residual = $fit->equations->slopes[$k]->residual;
            $residuals[] = [
                'id' => $one->id,
                'residual' => $residual,
                'w' => $left < self::LEAST_CHECKED ? null : $residual / ($one->sigma * sqrt($left)),
            ];
        }

        return new self($sheet, $fit->estimate, $fit->equations, $covariance, $residuals);
    }

    public function dof(): int
    {
        return count($this->equations->observations) - $this->sheet->unknowns->count;
    }

    /**
     * @param  list<list<float>>  $covariance
     * @return list<list<float>>
     */
    public static function block(array $covariance, int $at, int $wide): array
    {
        $block = [];
        for ($i = 0; $i < $wide; $i++) {
            $block[] = array_slice($covariance[$at + $i], $at, $wide);
        }

        return $block;
    }

    /** @return Triple standard deviations of a place, mm */
    public function sd(string $name): array
    {
        $i = $this->sheet->unknowns->places[$name] ?? null;

        return $i === null ? Xyz::ZERO : [
            sqrt(max(0.0, $this->covariance[$i][$i])),
            sqrt(max(0.0, $this->covariance[$i + 1][$i + 1])),
            sqrt(max(0.0, $this->covariance[$i + 2][$i + 2])),
        ];
    }

    /** Greatest standard deviation of a place in any direction, mm. */
    public function greatestSd(string $name): float
    {
        $i = $this->sheet->unknowns->places[$name] ?? null;

        return $i === null ? 0.0 : sqrt(Symmetric::greatest(self::block($this->covariance, $i, 3)));
    }

    /** @return array{float, float} greatest and least standard deviation of an axis, degrees */
    public function axisSd(string $end): array
    {
        $i = $this->sheet->unknowns->axes[$end] ?? null;
        if ($i === null) {
            return [0.0, 0.0];
        }
        [$values] = Symmetric::principal(self::block($this->covariance, $i, 2));

        return [rad2deg(sqrt(max(0.0, $values[0]))), rad2deg(sqrt(max(0.0, $values[1])))];
    }

    /** @return list<list<float>> covariance of an end's place and axis, mm and plain numbers */
    public function endCovariance(string $end): array
    {
        $rows = [];
        $place = $this->sheet->unknowns->places[$end] ?? null;
        for ($k = 0; $k < 3; $k++) {
            $rows[] = $place === null ? [] : [$place + $k => 1.0];
        }
        $axis = $this->sheet->unknowns->axes[$end] ?? null;
        [$h, $v] = Xyz::across($this->estimate->axes[$end]);
        for ($k = 0; $k < 3; $k++) {
            $rows[] = $axis === null ? [] : [$axis => $h[$k], $axis + 1 => $v[$k]];
        }

        return $this->carried($rows, $rows);
    }

    /**
     * Covariance of sums of what was found.
     *
     * @param  list<array<int, float>>  $rows  by column
     * @param  list<array<int, float>>  $others
     * @return list<list<float>>
     */
    public function carried(array $rows, array $others): array
    {
        $all = [];
        foreach ($rows as $row) {
            $line = [];
            foreach ($others as $other) {
                $sum = 0.0;
                foreach ($row as $i => $value) {
                    foreach ($other as $j => $by) {
                        $sum += $value * $by * $this->covariance[$i][$j];
                    }
                }
                $line[] = $sum;
            }
            $all[] = $line;
        }

        return $all;
    }

    /**
     * How something worked out from what was found changes with it, by small steps.
     *
     * @param  list<string>  $places
     * @param  list<string>  $axes
     * @param  \Closure(Estimate): list<float>  $of
     * @return list<array<int, float>> a row by column for each of its numbers
     */
    public function slopes(array $places, array $axes, \Closure $of): array
    {
        $unknowns = $this->sheet->unknowns;
        $columns = [];
        foreach ($places as $name) {
            $i = $unknowns->places[$name] ?? null;
            $columns += $i === null ? [] : [$i => 1e-3, $i + 1 => 1e-3, $i + 2 => 1e-3];
        }
        foreach ($axes as $name) {
            $i = $unknowns->axes[$name] ?? null;
            $columns += $i === null ? [] : [$i => 1e-6, $i + 1 => 1e-6];
        }
        $rows = array_fill(0, count($of($this->estimate)), []);
        $zero = array_fill(0, max(1, $unknowns->count), 0.0);
        foreach ($columns as $column => $step) {
            $ahead = $behind = $zero;
            [$ahead[$column], $behind[$column]] = [$step, -$step];
            $after = $of($this->estimate->stepped($unknowns, array_values($ahead)));
            $before = $of($this->estimate->stepped($unknowns, array_values($behind)));
            foreach ($after as $k => $value) {
                $rows[$k][$column] = ($value - $before[$k]) / (2 * $step);
            }
        }

        return $rows;
    }
}
