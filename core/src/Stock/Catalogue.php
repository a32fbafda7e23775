<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stock;

use UpsweptBead\Core\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Stock\Internal\Table;

/** Every tube, pipe, bend and elbow that can be named in a job, read from the reference tables. */
final readonly class Catalogue
{
    /**
     * @param  array<string, TubeSize>  $tubes
     * @param  array<string, BendStock>  $bends
     * @param  array<string, list<BendStock>>  $byTube  smallest radius and angle first
     */
    private function __construct(public array $tubes, public array $bends, private array $byTube) {}

    /** Reads the tables that ship with the core. */
    public static function shipped(): self
    {
        return self::fromFolder(dirname(__DIR__, 2).'/data');
    }

    /** @throws \RuntimeException if a table is missing or malformed */
    public static function fromFolder(string $folder): self
    {
        $tubes = $bends = [];
        foreach (['tubes.csv' => false, 'pipes.csv' => true] as $file => $isPipe) {
            foreach (Table::rows("$folder/$file") as $row) {
                $tubes[$row['id']] = new TubeSize($row['id'], $row['name'], (float) $row['od_mm'], (float) $row['wall_mm'], $isPipe, Table::source($row));
            }
        }
        foreach (['bends.csv', 'elbows.csv'] as $file) {
            foreach (Table::rows("$folder/$file") as $row) {
                $bends[$row['id']] = new BendStock(
                    $row['id'], $row['tube'], (float) $row['clr_mm'], (float) $row['angle_deg'],
                    (float) $row['clamp_leg_mm'], (float) $row['pull_leg_mm'], Table::source($row),
                );
            }
        }

        $byTube = [];
        foreach ($bends as $bend) {
            $byTube[$bend->tubeId][] = $bend;
        }
        foreach ($byTube as &$some) {
            usort($some, static fn (BendStock $a, BendStock $b): int => [$a->clrMm, $a->angleDeg, $a->id] <=> [$b->clrMm, $b->angleDeg, $b->id]);
        }

        return new self($tubes, $bends, $byTube);
    }

    /** @throws UnknownStock if no table lists the id */
    public function tube(string $id): TubeSize
    {
        return $this->tubes[$id] ?? throw UnknownStock::tube($id, $this->near($id));
    }

    /** @return list<BendStock> the bends made from a tube, smallest radius and angle first */
    public function bendsFor(string $tubeId): array
    {
        return $this->byTube[$tubeId] ?? [];
    }

    /** @return list<string> up to three ids that look like it */
    private function near(string $id): array
    {
        $ids = array_keys($this->tubes);
        usort($ids, static fn (string $a, string $b): int => levenshtein(substr($id, 0, 40), $a) <=> levenshtein(substr($id, 0, 40), $b));

        return array_slice($ids, 0, 3);
    }
}
