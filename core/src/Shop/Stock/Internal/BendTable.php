<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock\Internal;

use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Base\Reason\SourceKind;
use UpsweptBead\Core\Shop\Stock\BendStock;

/**
 * All bends and elbows there are to buy, as lines of text by the tube they are made from: they are many, a job wants
 * those of one tube or two, and a catalogue is brought out of memory with every request.
 */
final class BendTable
{
    /** @var array<string, list<BendStock>> what was asked for already */
    private array $made = [];

    /** @param  array<string, string>  $lines  id, radius, angle, legs, kind of source, source; one bend a line */
    private function __construct(private readonly array $lines) {}

    /** @param  list<array<string, string>>  $rows  of the tables */
    public static function of(array $rows): self
    {
        usort($rows, static fn (array $a, array $b): int => [(float) $a['clr_mm'], (float) $a['angle_deg'], $a['id']]
            <=> [(float) $b['clr_mm'], (float) $b['angle_deg'], $b['id']]);
        $lines = [];
        foreach ($rows as $row) {
            $cells = [
                $row['id'], $row['clr_mm'], $row['angle_deg'], $row['clamp_leg_mm'], $row['pull_leg_mm'],
                $row['source_kind'], $row['source'],
            ];
            $lines[$row['tube']] = ($lines[$row['tube']] ?? '').implode("\t", $cells)."\n";
        }

        return new self($lines);
    }

    /** @return list<BendStock> smallest radius and angle first */
    public function ofTube(string $tubeId): array
    {
        return $this->made[$tubeId] ??= isset($this->lines[$tubeId])
            ? array_map(
                static fn (string $line): BendStock => self::bend($tubeId, explode("\t", $line)),
                explode("\n", rtrim($this->lines[$tubeId], "\n")),
            )
            : [];
    }

    public function find(string $id): ?BendStock
    {
        foreach ($this->lines as $tubeId => $lines) {
            if (str_starts_with($lines, "$id\t") || str_contains($lines, "\n$id\t")) {
                foreach ($this->ofTube($tubeId) as $bend) {
                    if ($bend->id === $id) {
                        return $bend;
                    }
                }
            }
        }

        return null;
    }

    /** @return array{lines: array<string, string>} */
    public function __serialize(): array
    {
        return ['lines' => $this->lines];
    }

    /** @param  array{lines: array<string, string>}  $kept */
    public function __unserialize(array $kept): void
    {
        $this->lines = $kept['lines'];
    }

    /** @param  list<string>  $cells */
    private static function bend(string $tubeId, array $cells): BendStock
    {
        [$id, $clr, $angle, $clamp, $pull, $kind, $source] = array_pad($cells, 7, '');

        return new BendStock(
            $id,
            $tubeId,
            (float) $clr,
            (float) $angle,
            (float) $clamp,
            (float) $pull,
            new Source(SourceKind::from($kind), $source),
        );
    }
}
