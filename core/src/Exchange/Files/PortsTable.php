<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;

/**
 * Ports (and inlets) pasted from a spreadsheet or a CSV file, one line each: name, three lengths for the place, three
 * numbers for the direction, and if there are seven or more columns the same six for the inlet. A first line of
 * headings is passed over. A line that cannot be read is told with its reason.
 */
final readonly class PortsTable
{
    private const MOST_LINES = 200;

    private const MOST_ROWS = 16;

    /**
     * @param  list<PortsRow>  $rows
     * @param  list<array{line: int, text: string, why: string}>  $rejected
     */
    private function __construct(public array $rows, public array $rejected) {}

    public static function read(string $text, UnitSystem $units): self
    {
        $rows = $rejected = $seen = [];
        foreach (TableText::lines($text, self::MOST_LINES) as $line) {
            if ($line->isBeyond) {
                $rejected[] = $line->rejected(sprintf('only the first %d lines are read', self::MOST_LINES));
                break;
            }
            $cells = $line->cells;
            if ($rows === [] && $rejected === [] && self::isHeading($cells)) {
                continue;
            }
            try {
                $row = self::row($line->number, $cells, $units);
                $place = implode(
                    ' ',
                    array_map(static fn (Length $one): string => sprintf('%.3f', $one->mm), $row->at),
                );
                if (isset($seen[$place])) {
                    throw new \DomainException("stands at the same place as line {$seen[$place]}");
                }
                if (count($rows) >= self::MOST_ROWS) {
                    throw new \DomainException(sprintf('a job has at most %d runs', self::MOST_ROWS));
                }
                $seen[$place] = $line->number;
                $rows[] = $row;
            } catch (\DomainException|UnreadableQuantity $error) {
                $rejected[] = $line->rejected($error->getMessage());
            }
        }

        return new self($rows, $rejected);
    }

    /** @param  list<string>  $cells */
    private static function isHeading(array $cells): bool
    {
        return preg_match('/\d/', implode('', array_slice($cells, 1))) !== 1;
    }

    /**
     * @param  list<string>  $cells
     *
     * @throws \DomainException|UnreadableQuantity
     */
    private static function row(int $line, array $cells, UnitSystem $units): PortsRow
    {
        while (count($cells) > 7 && end($cells) === '') {
            array_pop($cells);
        }
        if (count($cells) !== 7 && count($cells) !== 13) {
            throw new \DomainException(
                sprintf(
                    'has %d columns; a name, three lengths and three numbers are 7, with an inlet 13',
                    count($cells),
                ),
            );
        }
        $inlet = count($cells) === 13;

        return new PortsRow(
            $line,
            mb_substr($cells[0], 0, 100),
            self::place(array_slice($cells, 1, 3), $units),
            self::direction(array_slice($cells, 4, 3)),
            $inlet ? self::place(array_slice($cells, 7, 3), $units) : null,
            $inlet ? self::direction(array_slice($cells, 10, 3)) : null,
        );
    }

    /**
     * @param  list<string>  $cells
     * @return array{Length, Length, Length}
     *
     * @throws UnreadableQuantity
     */
    private static function place(array $cells, UnitSystem $units): array
    {
        return [Length::parse($cells[0], $units), Length::parse($cells[1], $units), Length::parse($cells[2], $units)];
    }

    /**
     * @param  list<string>  $cells
     * @return array{float, float, float}
     *
     * @throws \DomainException
     */
    private static function direction(array $cells): array
    {
        $parts = [];
        foreach ($cells as $cell) {
            $number = filter_var($cell, FILTER_VALIDATE_FLOAT);
            if ($number === false || ! is_finite($number) || abs($number) > 1e6) {
                throw new \DomainException(
                    sprintf('"%s" is not a number for a direction, such as -0.2', mb_substr($cell, 0, 20)),
                );
            }
            $parts[] = $number;
        }
        if (hypot(hypot($parts[0], $parts[1]), $parts[2]) < 1e-9) {
            throw new \DomainException('has a direction of 0, 0, 0, which points nowhere');
        }

        return [$parts[0], $parts[1], $parts[2]];
    }
}
