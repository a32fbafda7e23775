<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Adjust\Chain;
use UpsweptBead\Core\Solve\Adjust\MockUp;
use UpsweptBead\Core\Solve\Adjust\Reading;
use UpsweptBead\Core\Solve\Adjust\Sheet;
use UpsweptBead\Core\Solve\Adjust\SurveyProblem;
use UpsweptBead\Core\Solve\Adjust\TouchedSolid;
use UpsweptBead\Core\Solve\Adjust\Word;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/**
 * Reads the open survey format, docs/survey-problem.md, as a file from anywhere.
 *
 * @phpstan-import-type Triple from Xyz
 * @phpstan-import-type ChainBend from Chain
 */
final class SurveyProblemReader
{
    public const FORMAT = 'survey-problem/1';

    /** What it costs goes with the third power of what is to be found: so many are worked out in a few seconds. */
    private const MOST_READINGS = 300;

    private const MOST_PLACES = 80;

    private const MOST_ASKED = 40;

    private const MOST_BENDS = 40;

    private const MOST_BLOCKS = 400;

    /** @var array<string, Triple|null> */
    private array $places = [Sheet::DATUM => Xyz::ZERO];

    /** @var array<string, Triple|null> */
    private array $axes = [];

    /** @var array<string, Word> */
    private array $facing = [];

    /** @var array<string, Word> */
    private array $sides = [];

    private function __construct(private readonly SurveyRefusals $refusals) {}

    /** Null where it is refused; why is then among the refusals. */
    public static function read(string $json, SurveyRefusals $refusals): ?SurveyProblem
    {
        $decoded = json_decode($json, true, 32);
        if (! is_array($decoded)) {
            $refusals->add('invalid', 'file');

            return null;
        }
        $problem = (new self($refusals))->problem(SurveyFile::of($decoded, '', $refusals));

        return $refusals->all() === [] ? $problem : null;
    }

    private function problem(SurveyFile $root): SurveyProblem
    {
        if (($root->fields['format'] ?? null) !== self::FORMAT) {
            $root->refuse('invalid', 'format');
        }
        $points = $this->places($root, 'points', false);
        $ends = $this->places($root, 'ends', true);
        $readings = $this->readings($root, $ends);
        $sheet = new Sheet($this->places, $this->axes, $ends, $this->facing, $this->sides, $readings);
        $limits = SurveyFile::of($root->fields['limits'] ?? [], 'limits', $this->refusals);

        return new SurveyProblem(
            is_string($root->fields['name'] ?? null) ? $root->fields['name'] : '',
            $sheet,
            $points,
            [
                'place' => $limits->has('place') ? $limits->above('place') : 10.0,
                'direction' => $limits->has('direction') ? $limits->above('direction') : 3.0,
            ],
            $this->keepOuts($root),
            $this->runs($root),
            $root->has('mirror')
                ? $this->mirror(SurveyFile::of($root->fields['mirror'], 'mirror', $this->refusals))
                : null,
            $this->mockUps($root),
        );
    }

    /**
     * Objects of a list with an id of their own each.
     *
     * @return array<string, SurveyFile>
     */
    private function named(SurveyFile $root, string $list, int $most): array
    {
        $all = [];
        foreach ($root->items($list, $most) as $i => $value) {
            $id = is_array($value) && is_string($value['id'] ?? null) ? $value['id'] : '';
            $file = SurveyFile::of($value, $list.'/'.($id === '' ? (string) $i : $id), $this->refusals);
            if ($id === '') {
                $file->refuse('invalid', 'id');
            } elseif (isset($all[$id])) {
                $this->refusals->add('duplicate', "$list/$id");
            } else {
                $all[$id] = $file;
            }
        }

        return $all;
    }

    /** @return list<string> names, in the order of the file */
    private function places(SurveyFile $root, string $list, bool $areEnds): array
    {
        $names = [];
        foreach ($this->named($root, $list, self::MOST_PLACES) as $id => $file) {
            $id = "$id";
            if (array_key_exists($id, $this->places)) {
                $this->refusals->add('duplicate', "$list/$id");

                continue;
            }
            $names[] = $id;
            $this->places[$id] = $file->has('at') ? $file->triple('at') : null;
            $side = $file->word('side');
            if ($side !== null) {
                $this->sides[$id] = $side;
            }
            if ($areEnds) {
                $axis = $file->has('dir') ? $file->triple('dir') : null;
                if ($axis !== null && Xyz::length($axis) < 1e-9) {
                    $file->refuse('invalid', 'dir');
                }
                $this->axes[$id] = $axis === null ? null : Xyz::unit($axis);
                $facing = $file->word('facing');
                if ($facing !== null) {
                    $this->facing[$id] = $facing;
                }
            }
        }

        return $names;
    }

    /**
     * @param  list<string>  $ends
     * @return list<Reading>
     */
    private function readings(SurveyFile $root, array $ends): array
    {
        $reader = new SurveyReadingReader(array_map(strval(...), array_keys($this->places)), $ends);
        $readings = [];
        foreach ($this->named($root, 'readings', self::MOST_READINGS) as $id => $file) {
            $reading = $reader->read($file, "$id");
            if ($reading !== null) {
                $readings[] = $reading;
            }
        }

        return $readings;
    }

    /** @return list<TouchedSolid> */
    private function keepOuts(SurveyFile $root): array
    {
        $all = [];
        foreach ($this->named($root, 'keepouts', self::MOST_ASKED) as $id => $file) {
            $kind = $file->oneOf('kind', ['capsule', 'halfspace', 'box'], $file->has('kind') ? 'unknown' : 'invalid');
            $points = [];
            foreach ($file->items('points', 4) as $name) {
                $points[] = is_string($name) ? $name : '';
                if (! is_string($name)) {
                    $file->refuse('invalid', 'points');
                } elseif (! array_key_exists($name, $this->places)) {
                    $file->refuse('unknown', 'points');
                }
            }
            if (count($points) !== ['capsule' => 2, 'halfspace' => 3, 'box' => 4][$kind]) {
                $file->refuse('invalid', 'points');
            }
            $free = $kind === 'halfspace' ? $file->word('free') : null;
            if ($kind === 'halfspace' && $free === null) {
                $file->refuse('invalid', 'free');
            }
            $diameterMm = $kind === 'capsule' ? $file->above('diameter') : 0.0;
            $all[] = new TouchedSolid("$id", $kind, $points, $diameterMm, $free);
        }

        return $all;
    }

    /** @return array<string, array{from: string, to: string, chain: Chain}> */
    private function runs(SurveyFile $root): array
    {
        $all = [];
        foreach ($this->named($root, 'runs', self::MOST_ASKED) as $id => $file) {
            $bends = [];
            foreach ($file->items('bends', self::MOST_BENDS) as $i => $value) {
                $bend = SurveyFile::of($value, "$file->path/bends/$i", $this->refusals);
                $bends[] = [
                    'length' => $bend->number('length'),
                    'rotation' => $bend->number('rotation'),
                    'angle' => $bend->number('angle', -360.0, 360.0),
                    'clr' => $bend->number('clr', 0.0),
                ];
            }
            $all[$id] = [
                'from' => $this->end($file, 'from'),
                'to' => $this->end($file, 'to'),
                'chain' => new Chain($bends, $file->number('last')),
            ];
        }

        return $all;
    }

    /** @return array{plane: int<0, 2>, at: float, shift: Triple, pairs: list<array{string, string}>} */
    private function mirror(SurveyFile $file): array
    {
        $pairs = [];
        foreach ($file->items('pairs', self::MOST_ASKED) as $pair) {
            [$one, $other] = is_array($pair) ? [$pair[0] ?? null, $pair[1] ?? null] : [null, null];
            if (! is_string($one) || ! is_string($other)) {
                $file->refuse('invalid', 'pairs');
            } elseif (! array_key_exists($one, $this->axes) || ! array_key_exists($other, $this->axes)) {
                $file->refuse('unknown', 'pairs');
            } else {
                $pairs[] = [$one, $other];
            }
        }

        return [
            'plane' => ['x' => 0, 'y' => 1, 'z' => 2][$file->oneOf('plane', ['x', 'y', 'z'])] ?? 0,
            'at' => $file->has('at') ? $file->number('at') : 0.0,
            'shift' => $file->has('shift') ? $file->triple('shift') : Xyz::ZERO,
            'pairs' => $pairs,
        ];
    }

    /** @return array<string, array{from: string|null, mockUp: MockUp, stockClr: float|null}> */
    private function mockUps(SurveyFile $root): array
    {
        $all = [];
        foreach ($this->named($root, 'mockups', self::MOST_ASKED) as $id => $file) {
            $all[$id] = [
                'from' => $file->has('from') ? $this->end($file, 'from') : null,
                'mockUp' => MockUp::of(
                    $this->blocks($file),
                    $file->number('pitch', 0.0),
                    $file->number('click'),
                    $file->number('clr', 0.0),
                ),
                'stockClr' => $file->has('stock_clr') ? $file->number('stock_clr', 0.0) : null,
            ];
        }

        return $all;
    }

    /** @return list<array{straight?: int, clicks?: int, bend?: float}> */
    private function blocks(SurveyFile $file): array
    {
        $blocks = [];
        foreach ($file->items('blocks', self::MOST_BLOCKS) as $i => $value) {
            $block = SurveyFile::of($value, "$file->path/blocks/$i", $this->refusals);
            if ($block->has('straight')) {
                $blocks[] = ['straight' => (int) $block->number('straight', 0.0, 1e4)];
            } elseif ($block->has('clicks')) {
                $blocks[] = ['clicks' => (int) $block->number('clicks', -1e4, 1e4)];
            } elseif ($block->has('bend')) {
                $blocks[] = ['bend' => $block->number('bend', -360.0, 360.0)];
            } else {
                $this->refusals->add('unknown', $block->path);
            }
        }

        return $blocks;
    }

    private function end(SurveyFile $file, string $field): string
    {
        $name = $file->text($field);
        if ($name !== '' && ! array_key_exists($name, $this->axes)) {
            $file->refuse('unknown', $field);
        }

        return $name;
    }
}
