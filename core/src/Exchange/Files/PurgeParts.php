<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\GasJoint;
use UpsweptBead\Core\Solve\Gas\Node as Meeting;
use UpsweptBead\Core\Solve\Gas\Opening;
use UpsweptBead\Core\Solve\Gas\TubeBranch;
use UpsweptBead\Core\Solve\Gas\TubeInside;

/** Reads what a purge problem says of the assembly: its tubes, what joins them, its openings and joints. */
final class PurgeParts
{
    private const MOST_TUBES = 40;

    private const MOST_POINTS = 200;

    private const MOST_MM = 1e5;

    /** Places count as one within this (mm). */
    private const MEETS_MM = 0.5;

    /** @var array<string, TubeInside> */
    private array $tubes = [];

    /** @var array<string, true> ends that serve already */
    private array $served = [];

    public function __construct(private readonly Node $root) {}

    public function assembly(): Assembly
    {
        foreach ($this->root->at('tubes')->items(self::MOST_TUBES) as $one) {
            $bore = $this->tube($one);
            if (isset($this->tubes[$bore->id])) {
                $one->at('id')->complain('double', 'must not be used twice');
            }
            $this->tubes[$bore->id] = $bore;
        }
        if ($this->tubes === []) {
            $this->root->at('tubes')->complain('none', 'must have at least one tube');
        }
        $nodes = array_map($this->node(...), $this->list('nodes'));
        $branches = array_values(array_filter(array_map($this->branch(...), $this->list('saddles'))));

        return new Assembly($this->tubes, $nodes, $branches);
    }

    /** @return list<Opening> */
    public function openings(): array
    {
        return array_map(function (Node $node): Opening {
            [$tube, $isStart] = $this->end($node->at('end'));
            $holes = $node->at('vent')->isMissing() ? [] : $node->at('vent')->items(self::MOST_POINTS);

            return new Opening(
                $node->at('id')->required(100),
                $tube,
                $isStart,
                ! $node->at('feed')->isMissing() && $node->at('feed')->boolean(),
                array_map(self::positive(...), $holes),
            );
        }, $this->list('openings'));
    }

    /** @return array<string, GasJoint> by id */
    public function joints(): array
    {
        $joints = [];
        foreach ($this->list('joints') as $node) {
            $tube = $node->at('tube')->required(100);
            if (! isset($this->tubes[$tube])) {
                $node->at('tube')->complain('unknown', 'must be one of the tubes');
            }
            $station = $node->at('station')->number(self::MOST_MM);
            if ($station < 0.0 || $station > ($this->tubes[$tube]->lengthMm ?? INF) + self::MEETS_MM) {
                $node->at('station')->complain('out-of-range', 'must lie on its tube');
            }
            $gap = $node->at('gap')->isMissing() ? 0.0 : ProblemNumbers::within($node->at('gap'), 0, self::MOST_MM);
            $id = $node->at('id')->required(100);
            $joints[$id] = new GasJoint(
                $id,
                $tube,
                $station,
                $gap,
                $node->at('tape')->isMissing() || $node->at('tape')->boolean(),
                ! $node->at('welded')->isMissing() && $node->at('welded')->boolean(),
            );
        }

        return $joints;
    }

    private function tube(Node $node): TubeInside
    {
        $id = $node->at('id')->required(100);
        $boreMm = self::positive($node->at('bore'));
        $points = array_map(ProblemNumbers::point(...), $node->at('points')->items(self::MOST_POINTS));
        $radii = $node->at('radii')->isMissing()
            ? []
            : array_map(self::positive(...), $node->at('radii')->items(self::MOST_POINTS));
        $bore = null;
        if (count($points) < 2 || self::isDouble($points)) {
            $node->at('points')->complain('too-few', 'must be two places or more, none twice in a row');
        } elseif (count($radii) !== count($points) - 2) {
            $node->at('radii')->complain('not-one-each', 'must have one for each place between the ends');
        } else {
            $bore = TubeInside::of($id, $boreMm, $points, $radii);
            if ($bore === null) {
                $node->at('radii')->complain(
                    'does-not-fit',
                    'must leave room for each bend, and be half the bore or more',
                );
            }
        }

        return $bore ?? TubeInside::straight($id, $boreMm);
    }

    private function node(Node $node): Meeting
    {
        $at = ProblemNumbers::point($node->at('at'));
        $ends = [];
        $least = INF;
        foreach ($node->at('ends')->items(self::MOST_TUBES) as $one) {
            [$tube, $isStart] = $this->end($one);
            if (! isset($this->tubes[$tube])) {
                continue;
            }
            $ends[] = [$tube, $isStart];
            $least = min($least, $this->tubes[$tube]->radiusMm);
            if ($this->place($tube, $isStart)->distanceTo($at) > self::MEETS_MM) {
                $one->complain('elsewhere', 'must lie where the node is');
            }
        }
        $radius = $node->at('radius')->isMissing() ? min($least, self::MOST_MM) : self::positive($node->at('radius'));

        return new Meeting($node->at('id')->required(100), $at, $ends, $radius);
    }

    private function branch(Node $node): ?TubeBranch
    {
        $on = $node->at('on')->required(100);
        [$tube, $isStart] = $this->end($node->at('end'));
        $main = $this->tubes[$on] ?? null;
        if ($main === null) {
            $node->at('on')->complain('unknown', 'must be one of the tubes');

            return null;
        }
        $station = $node->at('station')->number(self::MOST_MM);
        if ($station <= 0.0 || $station >= $main->lengthMm) {
            $node->at('station')->complain('out-of-range', 'must lie between the ends of its tube');
        }
        if (! isset($this->tubes[$tube])) {
            return null;
        }
        $isThere = $this->place($tube, $isStart)->distanceTo($main->at($station)[0]) <= self::MEETS_MM;
        if (! $isThere || $tube === $on || $this->tubes[$tube]->radiusMm > $main->radiusMm + 1e-9) {
            $node->at('end')->complain('does-not-fit', 'must begin on the middle line of a tube that is as wide or wider');
        }

        return new TubeBranch($node->at('id')->required(100), $on, $station, $tube, $isStart);
    }

    /** @return array{string, bool} tube, and whether its start */
    private function end(Node $node): array
    {
        $text = $node->required(200);
        $isEnd = preg_match('/^(.+):(start|end)$/', $text, $found) === 1 && isset($this->tubes[$found[1]]);
        if (! $isEnd) {
            $node->complain('unknown', 'must be a tube and one of its ends, as A:start');

            return ['', true];
        }
        if (isset($this->served[$text])) {
            $node->complain('double', 'must serve once');
        }
        $this->served[$text] = true;

        return [$found[1], $found[2] === 'start'];
    }

    private function place(string $tube, bool $isStart): Vector
    {
        return $this->tubes[$tube]->at($isStart ? 0.0 : $this->tubes[$tube]->lengthMm)[0];
    }

    /** @return list<Node> */
    private function list(string $key): array
    {
        return $this->root->at($key)->isMissing() ? [] : $this->root->at($key)->items(self::MOST_POINTS);
    }

    /** @param  list<Vector>  $points */
    private static function isDouble(array $points): bool
    {
        foreach (array_slice($points, 1) as $i => $one) {
            if ($one->distanceTo($points[$i]) < 1e-6) {
                return true;
            }
        }

        return false;
    }

    private static function positive(Node $node): float
    {
        $value = $node->number(self::MOST_MM);
        if ($node->isAbove(-INF) && $value <= 0.0) {
            $node->complain('not-positive', 'must be more than 0');
        }

        return $value > 0.0 ? $value : 1.0;
    }
}
