<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

/**
 * A table as spreadsheets and CSV files write it: cells parted by tabs, else by semicolons, else by commas. A cell that
 * holds the mark, a quote or the end of a line stands in double quotes, and a quote in it is doubled [RFC 4180, section
 * 2].
 * A comma left within a number is a decimal comma.
 */
final readonly class TableText
{
    private const DECIMAL_COMMA = '/^([-+−]?\d*),(\d+(\s*\D*)?)$/u';

    /** A quote that is not closed within so many lines is no quote: the line stands for itself. */
    private const MOST_LINES_OF_CELL = 20;

    /**
     * @param  int  $most  lines that are read
     * @return list<TableLine> what is not empty; where there are too many lines the last one is the first beyond
     */
    public static function lines(string $text, int $most): array
    {
        $all = explode("\n", str_replace(["\r\n", "\r"], "\n", rtrim($text, "\n\r")), $most + 1);
        $lines = [];
        for ($i = 0; $i < min($most, count($all)); $i++) {
            $number = $i + 1;
            [$raw, $i] = self::whole($all, $i, $most);
            // Each line is cleaned by itself: a table in another encoding is refused line by line, not as a whole.
            $line = mb_scrub($raw);
            $cells = self::cells($line);
            if ($cells !== []) {
                $lines[] = new TableLine($number, $line, $cells);
            }
        }
        if (count($all) > $most) {
            $lines[] = new TableLine($most + 1, mb_scrub(explode("\n", $all[$most], 2)[0]), [], true);
        }

        return $lines;
    }

    /** @return list<string> the cells of one line, trimmed; none of an empty one */
    public static function cells(string $line): array
    {
        $cells = array_map(
            static fn (?string $cell): string => (string) preg_replace(
                self::DECIMAL_COMMA,
                '$1.$2',
                trim((string) $cell),
            ),
            str_getcsv($line, self::mark($line), '"', ''),
        );

        return implode('', $cells) === '' ? [] : $cells;
    }

    /**
     * The line at a place, with those that its last cell goes on over.
     *
     * @param  list<string>  $all
     * @return array{string, int} with the place of its last line
     */
    private static function whole(array $all, int $at, int $most): array
    {
        $line = $all[$at];
        $last = min($at + self::MOST_LINES_OF_CELL, $most, count($all)) - 1;
        $i = $at;
        while (self::isOpen($line)) {
            if (++$i > $last) {
                return [$all[$at], $at];
            }
            $line .= "\n".$all[$i];
        }

        return [$line, $i];
    }

    /** Whether its last cell began with a quote that nothing closes. */
    private static function isOpen(string $line): bool
    {
        if (! str_contains($line, '"')) {
            return false;
        }
        $mark = preg_quote(self::mark($line), '/');
        $quoted = '[ ]*+"(?:[^"]++|"")*+"';

        return preg_match("/^(?:(?:$quoted|(?![ ]*+\"))[^$mark]*+$mark)*+[ ]*+\"(?:[^\"]++|\"\")*+\\z/", $line) === 1;
    }

    private static function mark(string $line): string
    {
        return str_contains($line, "\t") ? "\t" : (str_contains($line, ';') ? ';' : ',');
    }
}
