<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

use UpsweptBead\Core\Base\Document\ShippedTable;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Shop\Stock\Internal\BendTable;

/**
 * Every tube, pipe, bend, elbow, donut and metal that can be named in a job, and the wire that joins them, from the
 * reference tables.
 */
final readonly class Catalogue
{
    /**
     * @param  array<string, TubeSize>  $tubes
     * @param  array<string, Metal>  $metals
     * @param  list<FillerRow>  $fillers
     * @param  list<GasCup>  $cups  smallest first
     * @param  array<string, Expansion>  $expansions  by metal
     */
    private function __construct(
        public array $tubes,
        public array $metals,
        private array $fillers,
        public array $cups,
        private array $expansions,
        private BendTable $bends,
        private BendTable $donuts,
    ) {}

    /** Reads the tables that ship with the core. */
    public static function shipped(): self
    {
        return self::fromFolder(dirname(__DIR__, 3).'/data');
    }

    /** @throws \RuntimeException if a table is missing or malformed */
    public static function fromFolder(string $folder): self
    {
        $tubes = [];
        foreach (['tubes.csv' => false, 'pipes.csv' => true] as $file => $isPipe) {
            foreach (ShippedTable::rows("$folder/$file") as $row) {
                $tubes[$row['id']] = new TubeSize(
                    $row['id'],
                    $row['name'],
                    (float) $row['od_mm'],
                    (float) $row['wall_mm'],
                    $isPipe,
                    ShippedTable::source($row),
                );
            }
        }
        $bends = BendTable::of([
            ...ShippedTable::rows("$folder/bends.csv"),
            ...ShippedTable::rows("$folder/elbows.csv"),
        ]);

        $donuts = BendTable::of(ShippedTable::rows("$folder/donuts.csv"));

        return new self(
            $tubes,
            self::metals($folder),
            self::fillers($folder),
            self::cups($folder),
            self::expansions($folder),
            $bends,
            $donuts,
        );
    }

    /** The wire that the table names for two base metals, whichever comes first; null if the pair is not in it. */
    public function fillerFor(string $metal, string $other): ?FillerRow
    {
        foreach ($this->fillers as $row) {
            if (
                [$row->metalA, $row->metalB] === [$metal, $other] ||
                [$row->metalB, $row->metalA] === [$metal, $other]
            ) {
                return $row;
            }
        }

        return null;
    }

    /** @return array<string, Metal> by id */
    private static function metals(string $folder): array
    {
        $metals = [];
        foreach (ShippedTable::rows("$folder/metals.csv") as $row) {
            $metals[$row['id']] = new Metal(
                $row['id'], $row['name'], (float) $row['density_kg_m3'], (float) $row['heat_j_kgk'],
                (float) $row['conductivity_w_mk'], $row['warning'],
            );
        }

        return $metals;
    }

    /** @return list<FillerRow> */
    private static function fillers(string $folder): array
    {
        return array_map(
            static fn (array $row): FillerRow => new FillerRow(
                $row['metal_a'],
                $row['metal_b'],
                $row['filler'],
                $row['note'],
                ShippedTable::source($row),
            ),
            ShippedTable::rows("$folder/fillers.csv"),
        );
    }

    /** @return list<GasCup> smallest first */
    private static function cups(string $folder): array
    {
        return array_map(static fn (array $row): GasCup => new GasCup(
            (int) $row['number'],
            (float) $row['bore_mm'],
            (float) $row['outside_mm'],
            (float) $row['length_mm'],
            (float) $row['stick_out_mm'],
            (float) $row['long_mm'],
            (float) $row['least_cfh'],
            (float) $row['most_cfh'],
            ShippedTable::source($row),
        ), ShippedTable::rows("$folder/cups.csv"));
    }

    /** @return array<string, Expansion> by metal */
    private static function expansions(string $folder): array
    {
        $expansions = [];
        foreach (ShippedTable::rows("$folder/expansion.csv") as $row) {
            $mean = [];
            foreach (Expansion::TEMPERATURES_C as $temperatureC) {
                $mean[$temperatureC] = (float) $row["at_$temperatureC"];
            }
            $expansions[$row['metal']] = new Expansion($mean, ShippedTable::source($row));
        }

        return $expansions;
    }

    /** How a metal grows; 304L, the usual one, stands in for one that no table knows. */
    public function expansion(string $metal): Expansion
    {
        return $this->expansions[$metal] ?? $this->expansions['304L'];
    }

    /** The cup whose number is nearest to one. */
    public function cup(float $number): GasCup
    {
        $cups = $this->cups;
        usort($cups, static fn (GasCup $a, GasCup $b): int => abs($a->number - $number) <=> abs($b->number - $number));

        return $cups[0] ?? throw new \LogicException('The table of cups is empty.');
    }

    /** @throws UnknownStock if no table lists the id */
    public function tube(string $id): TubeSize
    {
        return $this->tubes[$id] ?? throw UnknownStock::tube($id, $this->near($id));
    }

    /** A metal by its id; 304L, the usual one, stands in for one that no table knows. */
    public function metal(string $id): Metal
    {
        return $this->metals[$id] ?? $this->metals['304L'];
    }

    /** @return list<BendStock> the bends made from a tube, smallest radius and angle first */
    public function bendsFor(string $tubeId): array
    {
        return $this->bends->ofTube($tubeId);
    }

    /** @return list<BendStock> the closed rings of a tube, smallest radius first: pieces come out of them, a route does not */
    public function donutsFor(string $tubeId): array
    {
        return $this->donuts->ofTube($tubeId);
    }

    /** A bend, elbow or donut by its id; null if no table lists it. */
    public function bend(string $id): ?BendStock
    {
        return $this->bends->find($id) ?? $this->donuts->find($id);
    }

    /** @return list<string> up to three ids that look like it */
    private function near(string $id): array
    {
        $ids = array_keys($this->tubes);
        usort(
            $ids,
            static fn (string $a, string $b): int => levenshtein(substr($id, 0, 40), $a) <=>
                levenshtein(substr($id, 0, 40), $b),
        );

        return array_slice($ids, 0, 3);
    }
}
