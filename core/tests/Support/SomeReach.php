<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Random\Randomizer;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Exchange\Files\ReachAnswerWriter;
use UpsweptBead\Core\Exchange\Files\ReachProblem;
use UpsweptBead\Core\Exchange\Files\ReachProblemReader;
use UpsweptBead\Core\Solve\Reach\Obstacle\Block;
use UpsweptBead\Core\Solve\Reach\Obstacle\Drum;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\Obstacle\RoundBar;
use UpsweptBead\Core\Solve\Reach\Obstacle\Wall;

/** Seams with neighbours to try the core on, and its answers as plain arrays. */
final class SomeReach
{
    /** @return array<string, mixed> one of the shipped files */
    public static function shipped(string $name, string $folder = ''): array
    {
        $json = (string) file_get_contents(dirname(__DIR__)."/problems/reach/$folder$name.json");
        $problem = json_decode($json, true, 32, JSON_THROW_ON_ERROR);

        return is_array($problem) ? array_combine(array_map(strval(...), array_keys($problem)), $problem) : [];
    }

    public static function read(mixed $problem): ReachProblem
    {
        $read = ReachProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

        return $read instanceof ReachProblem ? $read : throw new \DomainException("{$read[0]->path} {$read[0]->message}");
    }

    /** @return array<string, mixed> */
    public static function answer(mixed $problem): array
    {
        return ReachAnswerWriter::toArray(self::read($problem));
    }

    /** @return array<string, mixed> a butt or a fillet on a tube, with tubes, plates and a wall beside it */
    public static function crowded(Randomizer $dice, bool $hasRod = false): array
    {
        $radius = Some::between($dice, 15.0, 40.0);
        $neighbours = [
            ['id' => 'own', 'type' => 'capsules', 'points' => [[0, 0, -200], [0, 0, 200]], 'radius' => $radius],
            ['id' => 'wall', 'type' => 'halfspace', 'point' => [0, -$radius - Some::between($dice, 15.0, 50.0), 0], 'normal' => [Some::between($dice, -0.3, 0.3), 1, 0]],
        ];
        for ($i = 0; $i < 3; $i++) {
            $deg = Some::between($dice, 0.0, 360.0);
            $out = $radius + Some::between($dice, 15.0, 60.0);
            $at = [$out * cos(deg2rad($deg)), $out * sin(deg2rad($deg)), Some::between($dice, -30.0, 30.0)];
            $neighbours[] = $i === 0
                ? ['id' => "n$i", 'type' => 'box', 'centre' => $at, 'size' => [Some::between($dice, 5.0, 40.0), Some::between($dice, 5.0, 40.0), Some::between($dice, 5.0, 40.0)],
                    'axes' => [[cos(1), sin(1), 0], [-sin(1), cos(1), 0], [0, 0, 1]]]
                : ['id' => "n$i", 'type' => 'capsules', 'points' => [$at, [$at[0] + Some::between($dice, -60.0, 60.0), $at[1], $at[2] + 80]], 'radius' => Some::between($dice, 5.0, 20.0)];
        }

        return [
            'format' => 'reach-problem/1', 'name' => 'crowded', 'need_percent' => 90,
            'seam' => ['kind' => 'circle', 'centre' => [0, 0, 0], 'axis' => [0, 0, 1], 'zero' => [1, 0, 0], 'radius' => $radius],
            'torch' => ['body_radius' => 11, 'body_length' => 70, 'gap' => 1.5, 'work_deg' => ['from' => -30, 'to' => 30, 'step' => 10], 'travel_deg' => ['from' => 0, 'to' => 20, 'step' => 10]],
            'cups' => [['id' => '10', 'radius' => 5, 'length' => 20, 'stick_out' => 8], ['id' => '19', 'radius' => 9.5, 'length' => 24, 'stick_out' => 10]],
            'neighbours' => $neighbours,
            ...($hasRod ? ['rod' => ['radius' => 1.2, 'start' => 6, 'length' => 90, 'gap' => 2, 'rise_deg' => ['from' => 10, 'to' => 40, 'step' => 10], 'side_deg' => ['from' => -20, 'to' => 20, 'step' => 20]]] : []),
        ];
    }

    /** Something of one of the three kinds, near the origin. */
    public static function obstacle(Randomizer $dice, int $kind): Obstacle
    {
        $at = self::vector($dice, 30.0);

        return match ($kind) {
            0 => new RoundBar(new Capsule('bar', $at, $at->plus(self::vector($dice, 60.0)), Some::between($dice, 2.0, 20.0))),
            1 => new Block(new Box('block', $at, self::axes($dice), [Some::between($dice, 2.0, 20.0), Some::between($dice, 2.0, 30.0), Some::between($dice, 2.0, 40.0)])),
            2 => new Drum(new Cylinder('drum', $at, $at->plus(self::vector($dice, 40.0)), Some::between($dice, 5.0, 40.0))),
            default => new Wall(new HalfSpace('wall', $at, self::vector($dice, 1.0)->unit())),
        };
    }

    /** @return array{Vector, Vector, Vector} square to each other, of length 1 */
    public static function axes(Randomizer $dice): array
    {
        $first = self::vector($dice, 1.0)->unit();
        $second = $first->cross(self::vector($dice, 1.0))->unit();

        return [$first, $second, $first->cross($second)];
    }

    public static function vector(Randomizer $dice, float $most): Vector
    {
        return new Vector(Some::between($dice, -$most, $most), Some::between($dice, -$most, $most), Some::between($dice, -$most, $most));
    }
}
