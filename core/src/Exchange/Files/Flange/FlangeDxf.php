<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Flange;

use UpsweptBead\Core\Exchange\Drawing\Dxf;
use UpsweptBead\Core\Job\Run\PlateSpec;
use UpsweptBead\Core\Solve\Merge\Flange\Flange;
use UpsweptBead\Core\Solve\Merge\Flange\Path;

/**
 * Flanges as DXF: written for a laser or waterjet, whose own kerf is left to the cutter; and read as they were
 * measured.
 */
final readonly class FlangeDxf
{
    /** Ends of lines this near belong together (mm). */
    private const JOINED_MM = 0.05;

    private const MOST_PIECES = 1500;

    /** No flange is smaller or larger than this (mm). */
    private const SIZES_MM = [20.0, 1000.0];

    /** The true shape, in millimetres; a layer each for what is cut outside and inside of its line, and for marks. */
    public static function write(Flange $flange): string
    {
        $entities = self::path($flange->outline, 'OUTSIDE');
        foreach ([$flange->opening, ...$flange->holes] as $hole) {
            array_push($entities, ...self::path($hole, 'INSIDE'));
        }
        $top = $flange->outline->box()[3];
        array_push($entities, ...Dxf::pairs([
            0 => 'LINE', 8 => DxfEntities::MARKS,
            10 => 0.0, 20 => $top - 4.0, 30 => 0.0, 11 => 0.0, 21 => $top, 31 => 0.0,
        ]));

        return Dxf::document(['OUTSIDE', 'INSIDE', DxfEntities::MARKS], $entities);
    }

    /** One line that is cut outside of it, as a plate without openings is. */
    public static function outline(Path $path): string
    {
        return Dxf::document(['OUTSIDE'], self::path($path, 'OUTSIDE'));
    }

    /**
     * @param  float|null  $unitMm  what one unit of the drawing is; null where it says so itself
     *
     * @throws \DomainException with what is wrong and where
     */
    public static function read(string $text, ?float $unitMm = null): PlateSpec
    {
        $entities = DxfEntities::read($text);
        if ($entities->pieces === [] && $entities->loops === []) {
            throw new \DomainException('The drawing has no closed line.');
        }
        $unitMm ??= $entities->unitMm ?? throw new \DomainException(
            'The drawing does not say its unit: choose inches or millimetres.',
        );
        $loops = array_map(static fn (Path $one): Path => $one->scaled($unitMm), $entities->loops);
        $pieces = array_map(static fn (LoosePiece $one): LoosePiece => $one->scaled($unitMm), $entities->pieces);
        array_push($loops, ...self::chained($pieces));

        return Loops::asPlate($loops, self::SIZES_MM);
    }

    /** @return list<string> */
    private static function path(Path $path, string $layer): array
    {
        $disc = $path->asDisc();
        if ($disc !== null) {
            return Dxf::pairs([
                0 => 'CIRCLE', 8 => $layer, 10 => $disc->xMm, 20 => $disc->yMm, 30 => 0.0, 40 => $disc->radiusMm,
            ]);
        }
        $lines = Dxf::pairs([0 => 'POLYLINE', 8 => $layer, 66 => 1, 10 => 0.0, 20 => 0.0, 30 => 0.0, 70 => 1]);
        foreach ($path->vertices as [$x, $y, $bulge]) {
            $vertex = [0 => 'VERTEX', 8 => $layer, 10 => $x, 20 => $y, 30 => 0.0, 42 => $bulge];
            array_push($lines, ...Dxf::pairs($vertex));
        }

        return [...$lines, ...Dxf::pairs([0 => 'SEQEND', 8 => $layer])];
    }

    /**
     * Loose lines and arcs put end to end.
     *
     * @param  list<LoosePiece>  $pieces
     * @return list<Path>
     *
     * @throws \DomainException where an end has no other
     */
    private static function chained(array $pieces): array
    {
        $pieces = array_filter($pieces, static fn (LoosePiece $one): bool => $one->lengthMm() > 1e-9);
        if (count($pieces) > self::MOST_PIECES) {
            throw new \DomainException(sprintf('The drawing has more than %d loose lines.', self::MOST_PIECES));
        }
        $paths = [];
        while ($pieces !== []) {
            $first = $last = array_shift($pieces);
            $vertices = [[$first->fromX, $first->fromY, $first->bulge]];
            while (hypot($last->toX - $first->fromX, $last->toY - $first->fromY) > self::JOINED_MM) {
                $next = self::nearest($pieces, $last->toX, $last->toY);
                $gapMm = $next === null ? INF : $pieces[$next]->apartMm($last->toX, $last->toY);
                if ($next === null || $gapMm > self::JOINED_MM) {
                    throw new \DomainException(sprintf(
                        'The line is open at %.2f, %.2f mm%s.',
                        $last->toX,
                        $last->toY,
                        $next === null ? '' : sprintf('; the next end is %.2f mm away', $gapMm),
                    ));
                }
                $last = $pieces[$next]->from($last->toX, $last->toY);
                $vertices[] = [$last->fromX, $last->fromY, $last->bulge];
                unset($pieces[$next]);
            }
            $paths[] = new Path($vertices);
        }

        return $paths;
    }

    /** @param  array<int, LoosePiece>  $pieces */
    private static function nearest(array $pieces, float $x, float $y): ?int
    {
        [$best, $leastMm] = [null, INF];
        foreach ($pieces as $i => $piece) {
            $mm = $piece->apartMm($x, $y);
            if ($mm < $leastMm) {
                [$best, $leastMm] = [$i, $mm];
            }
        }

        return $best;
    }
}
