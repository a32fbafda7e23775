<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\StockNames;
use UpsweptBead\Core\Shop\Stock\Catalogue;

/**
 * A count of the stores as CSV: item, count, and if there are more columns place, price, reorder at, reorder to, kind,
 * name. The item is the catalogue's id of a tube or bend, or the key of a part; kind and name are only needed for a
 * part that the stores do not know yet. A first line of headings is passed over. Lines that cannot be read are told
 * with their reason.
 */
final readonly class StoresTable
{
    /** What is longer than this is not read at all (bytes). */
    public const MOST_BYTES = 1_000_000;

    private const MOST_LINES = 5000;

    /** What first lines call their columns. */
    private const HEADINGS = [
        'item', 'items', 'id', 'key', 'part', 'stock', 'count', 'counted', 'quantity', 'qty', 'number', 'on hand',
    ];

    private const MOST = 100_000.0;

    private const COLUMNS = 8;

    /**
     * @param  list<StoresRow>  $rows
     * @param  list<array{line: int, text: string, why: string}>  $rejected
     */
    private function __construct(public array $rows, public array $rejected) {}

    /**
     * @param  array<string, ItemKind>  $known  what the stores have already, by key
     *
     * @throws \LengthException if it is too long to be a count of a shop
     */
    public static function read(string $csv, Catalogue $catalogue, array $known): self
    {
        if (strlen($csv) > self::MOST_BYTES) {
            throw new \LengthException(sprintf(
                'This is %d bytes long; at most %d are read.',
                strlen($csv),
                self::MOST_BYTES,
            ));
        }
        $rows = $rejected = $seen = [];
        $csv = preg_replace('/^\xEF\xBB\xBF/', '', $csv) ?? '';
        foreach (TableText::lines($csv, self::MOST_LINES) as $i => $line) {
            if ($line->isBeyond) {
                $rejected[] = $line->rejected(sprintf('only the first %d lines are read', self::MOST_LINES));
                break;
            }
            $cells = array_map(self::unmarked(...), $line->cells);
            if ($i === 0 && self::isHeading($cells)) {
                continue;
            }
            try {
                $row = self::row($line->number, $cells, $catalogue, $known);
                if (isset($seen[$row->key])) {
                    throw new \DomainException("is counted in line {$seen[$row->key]} already");
                }
                $seen[$row->key] = $line->number;
                $rows[] = $row;
            } catch (\DomainException $error) {
                $rejected[] = $line->rejected($error->getMessage());
            }
        }

        return new self($rows, $rejected);
    }

    /** Without the mark that keeps a spreadsheet from taking a text for a sum. */
    private static function unmarked(string $cell): string
    {
        return (string) preg_replace('/^\'(?=\'*[=+\-@\t\r])/', '', $cell);
    }

    /**
     * Words in place of a count, and no count at all: what cannot be read is told as such.
     *
     * @param  list<string>  $cells
     */
    private static function isHeading(array $cells): bool
    {
        $count = mb_strtolower($cells[1] ?? '');

        return in_array($count, self::HEADINGS, true) || in_array(mb_strtolower($cells[0]), self::HEADINGS, true);
    }

    /**
     * One item, by the cells of its line.
     *
     * @param  list<string>  $cells
     * @param  array<string, ItemKind>  $known
     *
     * @throws \DomainException if it cannot be used
     */
    public static function row(int $line, array $cells, Catalogue $catalogue, array $known): StoresRow
    {
        if (count($cells) > self::COLUMNS) {
            throw new \DomainException(sprintf('has %d columns; at most %d are known', count($cells), self::COLUMNS));
        }
        [$key, $count, $place, $price, $at, $to, $kindText, $name] = array_pad($cells, self::COLUMNS, '');
        if ($key === '' || mb_strlen($key) > 80 || mb_strlen($place) > 60 || mb_strlen($name) > 200) {
            throw new \DomainException('names no item, or something in it is too long (item 80, place 60, name 200)');
        }
        $of = self::known($key, $catalogue) ?? (isset($known[$key]) ? [$known[$key], $name] : null);
        if ($of === null) {
            $kind = ItemKind::tryFrom(strtolower($kindText));
            if ($kind === null || $kind->isStock() || $name === '') {
                throw new \DomainException(sprintf(
                    '"%s" is in no catalogue and not in the stores; a new part needs a kind (%s) and a name',
                    mb_substr($key, 0, 40),
                    implode(', ', array_map(
                        static fn (ItemKind $one): string => $one->value,
                        array_filter(ItemKind::cases(), static fn (ItemKind $one): bool => ! $one->isStock()),
                    )),
                ));
            }
            $of = [$kind, $name];
        }

        return new StoresRow(
            $line,
            $key,
            $of[0],
            $of[1],
            self::number($count, 'count', $of[0]->isCounted()) ?? throw new \DomainException('has no count'),
            $place,
            self::number($price, 'price', false),
            self::number($at, 'reorder at', false),
            self::number($to, 'reorder to', false),
        );
    }

    /** @return array{ItemKind, string}|null what the catalogue says of it */
    private static function known(string $key, Catalogue $catalogue): ?array
    {
        if (isset($catalogue->tubes[$key])) {
            return [ItemKind::Tube, $catalogue->tubes[$key]->name];
        }
        $bend = $catalogue->bend($key);

        if ($bend === null) {
            return null;
        }
        $tube = $catalogue->tube($bend->tubeId);

        return [StockNames::kind($tube), StockNames::bend($bend, $tube)];
    }

    /**
     * A quantity or a price as it is typed; null for nothing.
     *
     * @throws \DomainException if it is no number that can be counted
     */
    public static function number(string $text, string $column, bool $whole): ?float
    {
        if ($text === '') {
            return null;
        }
        $number = preg_match('/^\+?\d{1,9}(\.\d{1,6})?$/', $text) === 1 ? (float) $text : null;
        if ($number === null || $number > self::MOST || ($whole && floor($number) !== $number)) {
            throw new \DomainException(sprintf(
                'has "%s" as its %s; a %s from 0 to %d is taken',
                mb_substr($text, 0, 20),
                $column,
                $whole ? 'whole number' : 'number',
                self::MOST,
            ));
        }

        return $number;
    }
}
