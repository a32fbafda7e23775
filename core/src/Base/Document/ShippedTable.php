<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Document;

use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Reason\SourceKind;

/** A reference table shipped as CSV: a header line, then one row a line, each with `source_kind` and `source`. */
final class ShippedTable
{
    /** @var array<string, list<array<string, string>>> what was read already; the tables ship with the core and never change */
    private static array $read = [];

    /**
     * @return list<array<string, string>>
     *
     * @throws \RuntimeException if the file is missing or a row has not the header's number of cells
     */
    public static function rows(string $file): array
    {
        return self::$read[$file] ??= self::readRows($file);
    }

    /** @return list<array<string, string>> */
    private static function readRows(string $file): array
    {
        $lines = @file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES);
        if ($lines === false || $lines === []) {
            throw new \RuntimeException("The reference table $file is missing or empty.");
        }
        $header = self::cells(array_shift($lines));
        $rows = [];
        foreach ($lines as $number => $line) {
            $cells = self::cells($line);
            if (count($cells) !== count($header)) {
                throw new \RuntimeException(
                    sprintf('%s line %d has %d cells, not %d.', $file, $number + 2, count($cells), count($header)),
                );
            }
            $rows[] = array_combine($header, $cells);
        }

        return $rows;
    }

    /** @param  array<string, string>  $row */
    public static function source(array $row): Source
    {
        return new Source(SourceKind::from($row['source_kind']), $row['source']);
    }

    /** @return list<string> */
    private static function cells(string $line): array
    {
        return array_map(static fn (?string $cell): string => trim((string) $cell), str_getcsv($line));
    }
}
