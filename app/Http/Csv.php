<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** A table as a file to save, written as it is read. */
final readonly class Csv
{
    /**
     * @param  list<string>  $heading
     * @param  iterable<list<string|int|float|null>>  $rows
     */
    public static function download(string $name, array $heading, iterable $rows): StreamedResponse
    {
        $name = preg_replace('/[^A-Za-z0-9._-]+/', '-', $name);

        return new StreamedResponse(static function () use ($heading, $rows): void {
            $out = fopen('php://output', 'w');
            assert($out !== false);
            fputcsv($out, $heading, escape: '');
            foreach ($rows as $row) {
                fputcsv($out, array_map(
                    static fn (string|int|float|null $cell): string|int|float => is_string($cell) ? self::cell($cell) : $cell ?? '',
                    $row,
                ), escape: '');
            }
            fclose($out);
        }, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }

    /**
     * A spreadsheet takes some texts for sums to work out; a mark before them keeps them texts. A text that has such a
     * mark of its own gets another, so that one is taken away again where a table is read.
     */
    private static function cell(string $text): string
    {
        return preg_match('/^\'*[=+\-@\t\r]/', $text) === 1 ? "'$text" : $text;
    }
}
