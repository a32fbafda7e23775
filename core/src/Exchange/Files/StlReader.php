<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Exchange\Files\Exception\UnusableStl;

/**
 * Reads the triangles of an STL file, binary or text, as if its maker meant harm: nothing it claims of itself is
 * believed before it was measured. Triangles without area are left out; nothing else is mended.
 */
final readonly class StlReader
{
    public const MOST_BYTES = 20_000_000;

    public const MOST_TRIANGLES = 100_000;

    private const LEAST_MM = 1.0;

    private const MOST_MM = 20_000.0;

    /**
     * @param  float  $mmPerUnit  STL files carry no unit
     * @return list<float> x, y, z of the three corners of every triangle, in mm, rearward, right, up
     *
     * @throws UnusableStl
     */
    public static function read(string $bytes, float $mmPerUnit, StlUp $up): array
    {
        $size = strlen($bytes);
        if ($size > self::MOST_BYTES) {
            throw new UnusableStl(
                sprintf('The file has %.1f MB; at most %d MB are read.', $size / 1e6, self::MOST_BYTES / 1e6),
            );
        }
        $corners = self::isText($bytes) ? self::text($bytes) : self::binary($bytes);
        $flat = self::placed($corners, $mmPerUnit, $up);
        if ($flat === []) {
            throw new UnusableStl('The file has no triangle with an area.');
        }
        self::checkSize($flat);

        return $flat;
    }

    /** Many binary files begin with "solid" too; only text goes on with facets. */
    private static function isText(string $bytes): bool
    {
        return preg_match('/^\s*solid\b/i', $bytes) === 1 &&
            preg_match('/\bfacet\b/i', substr($bytes, 0, 2000)) === 1 &&
            ! str_contains(substr($bytes, 0, 2000), "\0");
    }

    /** @return list<float> */
    private static function binary(string $bytes): array
    {
        $size = strlen($bytes);
        if ($size < 84) {
            throw new UnusableStl(
                sprintf(
                    'The file has %d bytes; an STL file has at least 84, or begins with "solid" and goes on with facets.',
                    $size,
                ),
            );
        }
        /** @var array{1: int} $head */
        $head = unpack('V', $bytes, 80);
        $count = $head[1];
        if ($count > self::MOST_TRIANGLES) {
            throw new UnusableStl(
                sprintf(
                    'The file says that it has %s triangles; at most %s are read. If it is an STL file, thin it out first.',
                    number_format($count),
                    number_format(self::MOST_TRIANGLES),
                ),
            );
        }
        if ($size < 84 + 50 * $count) {
            throw new UnusableStl(
                sprintf(
                    'The file says that it has %s triangles but ends after %s: it is cut short, or no STL file.',
                    number_format($count),
                    number_format(intdiv($size - 84, 50)),
                ),
            );
        }
        $corners = [];
        for ($i = 0; $i < $count; $i++) {
            /** @var array<int, float> $nine */
            $nine = unpack('g9', $bytes, 84 + 50 * $i + 12);
            foreach ($nine as $number) {
                $corners[] = $number;
            }
        }

        return $corners;
    }

    /** @return list<float> */
    private static function text(string $bytes): array
    {
        $number = '([-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?)';
        $found = preg_match_all(
            "/\\bvertex\\s+$number\\s+$number\\s+$number(?=\\s)/i",
            $bytes,
            $vertices,
            PREG_SET_ORDER,
        );
        $said = preg_match_all('/\bvertex\b/i', $bytes);
        if ($found === false || $found !== $said) {
            throw new UnusableStl(
                sprintf('Of %d vertices only %d have three readable numbers.', (int) $said, (int) $found),
            );
        }
        if ($found % 3 !== 0 || preg_match('/\bendsolid\b/i', substr($bytes, -400)) !== 1) {
            throw new UnusableStl('The text breaks off: it does not end with "endsolid" after whole facets.');
        }
        if ($found > 3 * self::MOST_TRIANGLES) {
            throw new UnusableStl(
                sprintf(
                    'The file has %s triangles; at most %s are read.',
                    number_format(intdiv($found, 3)),
                    number_format(self::MOST_TRIANGLES),
                ),
            );
        }
        $corners = [];
        foreach ($vertices as [, $x, $y, $z]) {
            array_push($corners, (float) $x, (float) $y, (float) $z);
        }

        return $corners;
    }

    /**
     * @param  list<float>  $corners
     * @return list<float>
     */
    private static function placed(array $corners, float $mmPerUnit, StlUp $up): array
    {
        $flat = [];
        for ($i = 0, $end = count($corners); $i < $end; $i += 9) {
            $nine = [];
            for ($k = $i; $k < $i + 9; $k += 3) {
                if (! is_finite($corners[$k] + $corners[$k + 1] + $corners[$k + 2])) {
                    throw new UnusableStl(
                        sprintf('Triangle %d has a corner that is no finite number.', intdiv($i, 9) + 1),
                    );
                }
                foreach ($up->turned($corners[$k], $corners[$k + 1], $corners[$k + 2]) as $coordinate) {
                    $nine[] = $mm = $coordinate * $mmPerUnit;
                    if (abs($mm) > self::MOST_MM) {
                        throw new UnusableStl(
                            sprintf(
                                'In this unit triangle %d reaches to %.3g mm from the file’s zero; at most %s mm are taken. Is the unit right?',
                                intdiv($i, 9) + 1,
                                $mm,
                                number_format(self::MOST_MM),
                            ),
                        );
                    }
                }
            }
            if (self::hasArea($nine)) {
                array_push($flat, ...$nine);
            }
        }

        return $flat;
    }

    /** @param  list<float>  $c */
    private static function hasArea(array $c): bool
    {
        [$ax, $ay, $az] = [$c[3] - $c[0], $c[4] - $c[1], $c[5] - $c[2]];
        [$bx, $by, $bz] = [$c[6] - $c[0], $c[7] - $c[1], $c[8] - $c[2]];

        return ($ay * $bz - $az * $by) ** 2 + ($az * $bx - $ax * $bz) ** 2 + ($ax * $by - $ay * $bx) ** 2 > 1e-12;
    }

    /** @param  non-empty-list<float>  $flat */
    private static function checkSize(array $flat): void
    {
        $least = [INF, INF, INF];
        $most = [-INF, -INF, -INF];
        foreach ($flat as $i => $coordinate) {
            $least[$i % 3] = min($least[$i % 3], $coordinate);
            $most[$i % 3] = max($most[$i % 3], $coordinate);
        }
        $sizes = [$most[0] - $least[0], $most[1] - $least[1], $most[2] - $least[2]];
        if (max($sizes) < self::LEAST_MM) {
            throw new UnusableStl(
                sprintf(
                    'In this unit it would be %.3g mm long; from %d mm on it is taken. Is the unit right?',
                    max($sizes),
                    self::LEAST_MM,
                ),
            );
        }
    }
}
