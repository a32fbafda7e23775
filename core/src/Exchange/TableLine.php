<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange;

/**
 * One line of a table as spreadsheets and CSV files write it: cells parted by tabs, else by semicolons, else by commas;
 * in double quotes where a cell holds the mark itself. A comma left within a number is a decimal comma.
 */
final readonly class TableLine
{
    private const DECIMAL_COMMA = '/^([-+−]?\d*),(\d+(\s*\D*)?)$/u';

    /** @return list<string> the cells, trimmed; none for an empty line */
    public static function cells(string $line): array
    {
        $mark = str_contains($line, "\t") ? "\t" : (str_contains($line, ';') ? ';' : ',');
        $cells = array_map(
            static fn (?string $cell): string => (string) preg_replace(
                self::DECIMAL_COMMA,
                '$1.$2',
                trim((string) $cell),
            ),
            str_getcsv($line, $mark, '"', ''),
        );

        return implode('', $cells) === '' ? [] : $cells;
    }
}
