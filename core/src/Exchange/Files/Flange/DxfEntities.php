<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Flange;

use UpsweptBead\Core\Solve\Merge\Flange\Path;

/**
 * What a DXF drawing in its text form has of lines, arcs, circles and polylines, in its own unit; words and dimensions
 * are passed over. Hostile input costs no more than its length: every limit is checked as it is read.
 */
final readonly class DxfEntities
{
    public const MOST_BYTES = 1_000_000;

    /** The layer of what is marked only. */
    public const MARKS = 'MARKS';

    private const MOST_ENTITIES = 2000;

    private const MOST_VERTICES = 4000;

    /** Millimetres to one unit, by $INSUNITS. */
    private const UNITS = [1 => 25.4, 2 => 304.8, 4 => 1.0, 5 => 10.0, 6 => 1000.0];

    private const PASSED_OVER = ['POINT', 'TEXT', 'MTEXT', 'DIMENSION', 'ATTDEF', 'VIEWPORT', 'LEADER'];

    /**
     * @param  list<LoosePiece>  $pieces
     * @param  list<Path>  $loops  closed already
     * @param  float|null  $unitMm  null where the drawing does not say
     */
    private function __construct(public array $pieces, public array $loops, public ?float $unitMm) {}

    /** @throws \DomainException with what is wrong and where */
    public static function read(string $text): self
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw new \DomainException(sprintf('The drawing has %.1f MB; at most 1 MB is read.', strlen($text) / 1e6));
        }
        if (str_starts_with($text, 'AutoCAD Binary DXF')) {
            throw new \DomainException('The drawing is a binary DXF; save it as a text (ASCII) DXF.');
        }
        [$unitMm, $groups] = self::groups($text);
        $pieces = $loops = [];
        $vertices = 0;
        foreach ($groups as [$line, $type, $values]) {
            // Marks are drawn on the plate, not cut.
            if (strtoupper($values[8][0] ?? '') === self::MARKS) {
                continue;
            }
            $vertices += count($values[10] ?? []);
            if ($vertices > self::MOST_VERTICES) {
                throw new \DomainException(sprintf('The drawing has more than %d points.', self::MOST_VERTICES));
            }
            if ($type === 'CIRCLE') {
                $loops[] = self::circle($values, $line);
            } elseif ($type === 'LINE') {
                $from = self::point($values, 10, 20, $line);
                $pieces[] = new LoosePiece(...$from, ...self::point($values, 11, 21, $line));
            } elseif ($type === 'ARC') {
                array_push($pieces, ...self::arc($values, $line));
            } elseif ($type === 'POLYLINE' || $type === 'LWPOLYLINE') {
                $polyline = self::polyline($values, $line);
                if (((int) ($values[70][0] ?? '0') & 1) === 1) {
                    $loops[] = new Path($polyline);
                } else {
                    array_push($pieces, ...self::between($polyline));
                }
            } else {
                throw new \DomainException(sprintf(
                    'Line %d: %s is not read; save the drawing with lines, arcs and polylines only.',
                    $line,
                    mb_substr($type, 0, 20),
                ));
            }
        }

        return new self($pieces, $loops, $unitMm);
    }

    /**
     * @return array{float|null, list<array{int, string, array<int, list<string>>}>} the unit, and each entity with the
     *                                                                                line it begins on
     */
    private static function groups(string $text): array
    {
        $lines = preg_split('/\r\n|\r|\n/', $text);
        $lines = $lines === false ? [] : $lines;
        $entities = [];
        $unitMm = $section = $variable = null;
        $isSection = false;
        for ($i = 0; $i + 1 < count($lines); $i += 2) {
            [$code, $value] = [trim($lines[$i]), trim($lines[$i + 1])];
            if ($code === '' && $value === '' && $i + 3 >= count($lines)) {
                break;
            }
            if (preg_match('/^-?\d{1,4}$/', $code) !== 1) {
                throw new \DomainException(sprintf(
                    'Line %d: "%s" is no group code; this is no DXF drawing.',
                    $i + 1,
                    mb_substr($code, 0, 20),
                ));
            }
            $code = (int) $code;
            if ($code === 9) {
                $variable = $value;
            } elseif ($code === 70 && $variable === '$INSUNITS') {
                $unitMm = self::UNITS[(int) $value] ?? null;
                $variable = null;
            }
            if ($code === 0) {
                $isSection = $value === 'SECTION';
                if ($value === 'ENDSEC') {
                    $section = null;
                } elseif ($section === 'ENTITIES') {
                    self::begin($entities, $value, $i + 1);
                }
            } elseif ($code === 2 && $isSection) {
                $section = $value;
                $isSection = false;
            } elseif ($section === 'ENTITIES' && $entities !== []) {
                $last = count($entities) - 1;
                // The last entity may be one that is passed over.
                if ($entities[$last][1] !== '') {
                    if ($code === 10) {
                        // A bulge is only written where there is one: those before this point had theirs.
                        $before = count($entities[$last][2][10] ?? []);
                        $entities[$last][2][42] = array_pad($entities[$last][2][42] ?? [], $before, '0');
                    }
                    $entities[$last][2][$code][] = $value;
                }
            }
        }
        $entities = array_values(array_filter($entities, static fn (array $one): bool => $one[1] !== ''));

        return [$unitMm, $entities];
    }

    /** @param  list<array{int, string, array<int, list<string>>}>  $entities */
    private static function begin(array &$entities, string $type, int $line): void
    {
        // The points of an old polyline stand behind it as entities of their own; they are put into it.
        if ($type === 'VERTEX' || $type === 'SEQEND') {
            return;
        }
        if (count($entities) >= self::MOST_ENTITIES) {
            throw new \DomainException(sprintf('The drawing has more than %d lines and arcs.', self::MOST_ENTITIES));
        }
        $entities[] = [$line, in_array($type, self::PASSED_OVER, true) ? '' : $type, []];
    }

    /** @param  array<int, list<string>>  $values */
    private static function circle(array $values, int $line): Path
    {
        [$x, $y] = self::point($values, 10, 20, $line);
        $radius = self::number($values, 40, $line);
        if ($radius <= 0.0) {
            throw new \DomainException(sprintf('Line %d: a circle needs a radius above 0.', $line));
        }

        return Path::circle($x, $y, $radius);
    }

    /**
     * In two halves, so that no arc is a whole turn.
     *
     * @param  array<int, list<string>>  $values
     * @return list<LoosePiece>
     */
    private static function arc(array $values, int $line): array
    {
        [$x, $y] = self::point($values, 10, 20, $line);
        $radius = self::number($values, 40, $line);
        [$from, $to] = [self::number($values, 50, $line), self::number($values, 51, $line)];
        $turn = fmod($to - $from + 720.0, 360.0);
        $half = deg2rad($turn === 0.0 ? 360.0 : $turn) / 2;
        $pieces = [];
        foreach ([0, 1] as $i) {
            [$a, $b] = [deg2rad($from) + $i * $half, deg2rad($from) + ($i + 1) * $half];
            $pieces[] = new LoosePiece(
                $x + $radius * cos($a),
                $y + $radius * sin($a),
                $x + $radius * cos($b),
                $y + $radius * sin($b),
                tan($half / 4),
            );
        }

        return $pieces;
    }

    /**
     * @param  array<int, list<string>>  $values
     * @return non-empty-list<array{float, float, float}>
     */
    private static function polyline(array $values, int $line): array
    {
        [$xs, $ys, $bulges] = [$values[10] ?? [], $values[20] ?? [], $values[42] ?? []];
        // An old polyline begins with a point of its own that is none of its line.
        if (isset($values[66])) {
            [$xs, $ys, $bulges] = [array_slice($xs, 1), array_slice($ys, 1), array_slice($bulges, 1)];
        }
        $points = [];
        foreach ($xs as $i => $x) {
            $points[] = [
                self::usable($x, $line),
                self::usable($ys[$i] ?? '', $line),
                isset($bulges[$i]) ? self::usable($bulges[$i], $line) : 0.0,
            ];
        }
        if (count($points) < 2) {
            throw new \DomainException(sprintf('Line %d: a polyline of %d points is none.', $line, count($points)));
        }

        return $points;
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $points
     * @return list<LoosePiece>
     */
    private static function between(array $points): array
    {
        $pieces = [];
        for ($i = 1; $i < count($points); $i++) {
            [[$x, $y, $bulge], [$nextX, $nextY]] = [$points[$i - 1], $points[$i]];
            $pieces[] = new LoosePiece($x, $y, $nextX, $nextY, $bulge);
        }

        return $pieces;
    }

    /**
     * @param  array<int, list<string>>  $values
     * @return array{float, float}
     */
    private static function point(array $values, int $x, int $y, int $line): array
    {
        return [self::number($values, $x, $line), self::number($values, $y, $line)];
    }

    /** @param  array<int, list<string>>  $values */
    private static function number(array $values, int $code, int $line): float
    {
        return self::usable($values[$code][0] ?? '', $line);
    }

    private static function usable(string $text, int $line): float
    {
        if (! is_numeric($text) || ! is_finite((float) $text) || abs((float) $text) > 1e6) {
            throw new \DomainException(sprintf('Line %d: "%s" is no usable number.', $line, mb_substr($text, 0, 20)));
        }

        return (float) $text;
    }
}
