<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * Reads runs as plain tables, the way RunTables writes them: length–rotation–angle
 * (`run,bend,straight,rotation,angle,clr`, closing with a line whose bend is `end`) or vertices
 * (`run,point,x,y,z,clr`). A heading may end in `_mm`, `_in` or `_deg`; without one a bare number is in the job's
 * units.
 */
final readonly class RunTablesReader
{
    private const MOST_LINES = 400;

    private const LRA = ['run', 'bend', 'straight', 'rotation', 'angle', 'clr'];

    private const XYZ = ['run', 'point', 'x', 'y', 'z', 'clr'];

    /** Where vertices begin, the port has to be; nearer than a tape can tell. */
    private const AT_PORT_MM = 2.0;

    private function __construct(private Job $job) {}

    public static function read(string $text, Job $job): RoutesRead
    {
        return (new self($job))->all(TableText::lines($text, self::MOST_LINES));
    }

    /** @param  list<TableLine>  $lines */
    private function all(array $lines): RoutesRead
    {
        $rejected = $rows = [];
        $columns = null;
        foreach ($lines as $line) {
            $cells = $line->cells;
            $why = null;
            if ($line->isBeyond) {
                $why = sprintf('only the first %d lines are read', self::MOST_LINES);
            } elseif ($columns === null) {
                $columns = self::columns($cells);
                $why =
                    $columns === null
                        ? 'the first line must name the columns: run,bend,straight,rotation,angle,clr or run,point,x,y,z,clr'
                        : null;
            } elseif (count($cells) < 4) {
                $why = 'has too few cells';
            } elseif ($this->job->run($cells[0]) === null) {
                $why = sprintf('there is no run "%s" in this job', mb_substr($cells[0], 0, 10));
            } else {
                $rows[$cells[0]][] = [$line->number, $line->text, array_pad($cells, 6, '')];
            }
            if ($why !== null) {
                $rejected[] = $line->rejected($why);
                if ($columns === null) {
                    break;
                }
            }
        }
        $routes = [];
        foreach ($rows as $letter => $some) {
            try {
                $routes[$letter] =
                    $columns !== null && $columns['isLra']
                        ? $this->lra($some, $columns['units'])
                        : $this->xyz($letter, $some, $columns['units'] ?? []);
            } catch (BadLine $bad) {
                $rejected[] = [
                    'line' => $bad->atLine,
                    'text' => mb_substr($bad->text, 0, 80),
                    'why' => $bad->getMessage(),
                ];
            }
        }

        return new RoutesRead($routes, $rejected);
    }

    /**
     * @param  list<array{int, string, list<string>}>  $rows
     * @param  array<string, string>  $units
     *
     * @throws BadLine
     */
    private function lra(array $rows, array $units): RouteChoice
    {
        $bends = [];
        $end = null;
        foreach ($rows as $row) {
            [$number, $line, $cells] = $row;
            if ($end !== null) {
                throw new BadLine($number, $line, 'comes after the end of its run');
            }
            $straight = $this->length($row, 2, $units['straight']);
            if ($straight->mm < 0) {
                throw new BadLine($number, $line, 'its straight is negative');
            }
            if (strtolower($cells[1]) === 'end') {
                $end = $straight;

                continue;
            }
            $angle = $this->angle($row, 4);
            $clr = $this->length($row, 5, $units['clr']);
            if ($angle <= 0 || $angle > 180 || $clr->mm < RouteRow::LEAST_CLR_MM) {
                throw new BadLine($number, $line, 'a bend turns above 0° and at most 180°, on a radius of at least 1 mm');
            }
            $bends[] = new RouteRow($straight, $this->angle($row, 3), $angle, $clr);
        }
        [$number, $line] = $rows[count($rows) - 1];

        return new RouteChoice(
            $bends,
            $end ?? throw new BadLine($number, $line, 'its run has no line "end" with the last straight'),
        );
    }

    /**
     * @param  list<array{int, string, list<string>}>  $rows
     * @param  array<string, string>  $units
     *
     * @throws BadLine
     */
    private function xyz(string $letter, array $rows, array $units): RouteChoice
    {
        $points = $clrs = [];
        foreach ($rows as $i => $row) {
            $points[] = new Vector(
                $this->length($row, 2, $units['x'])->mm,
                $this->length($row, 3, $units['y'])->mm,
                $this->length($row, 4, $units['z'])->mm,
            );
            if ($i > 0 && $i < count($rows) - 1) {
                $clrs[] = $this->length($row, 5, $units['clr'])->mm;
            }
        }
        $start =
            $this->job->run($letter)?->start->frame() ?? throw new \LogicException('The run was looked up before.');
        [$number, $line] = $rows[0];
        if ($points[0]->distanceTo($start->at) > self::AT_PORT_MM) {
            throw new BadLine(
                $number,
                $line,
                sprintf('starts %.1f mm from the port of its run', $points[0]->distanceTo($start->at)),
            );
        }
        try {
            $run = TubeRun::fromXyz($points, $clrs, $start->reference);
        } catch (\DomainException $error) {
            throw new BadLine($number, $line, lcfirst($error->getMessage()));
        }
        if ($run->start->forward->angleDegTo($start->forward) > 0.5) {
            throw new BadLine(
                $number,
                $line,
                sprintf(
                    'leaves %.1f° off the direction of its port',
                    $run->start->forward->angleDegTo($start->forward),
                ),
            );
        }

        return RouteChoice::of($run);
    }

    /**
     * @param  array{int, string, list<string>}  $row
     *
     * @throws BadLine
     */
    private function length(array $row, int $cell, string $unit): Length
    {
        try {
            $text = $row[2][$cell];

            return Length::parse(is_numeric($text) ? $text.$unit : $text, $this->job->units);
        } catch (UnreadableQuantity $error) {
            throw new BadLine($row[0], $row[1], $error->getMessage());
        }
    }

    /**
     * @param  array{int, string, list<string>}  $row
     *
     * @throws BadLine
     */
    private function angle(array $row, int $cell): float
    {
        try {
            return Quantity::Angle->parse($row[2][$cell], UnitSystem::Metric);
        } catch (UnreadableQuantity $error) {
            throw new BadLine($row[0], $row[1], $error->getMessage());
        }
    }

    /**
     * @param  list<string>  $cells
     * @return array{isLra: bool, units: array<string, string>}|null
     */
    private static function columns(array $cells): ?array
    {
        $names = array_map(
            static fn (string $cell): string => (string) preg_replace('/[_ ](mm|in|deg)$/', '', strtolower($cell)),
            $cells,
        );
        foreach ([[self::LRA, true], [self::XYZ, false]] as [$known, $isLra]) {
            if (array_slice($names, 0, 6) === $known) {
                $units = [];
                foreach ($known as $i => $name) {
                    $units[$name] = preg_match('/[_ ](mm|in)$/', strtolower($cells[$i]), $match) === 1 ? $match[1] : '';
                }

                return ['isLra' => $isLra, 'units' => $units];
            }
        }

        return null;
    }
}
