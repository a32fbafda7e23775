<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\Block;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\Obstacle\RoundBar;
use UpsweptBead\Core\Solve\Reach\Obstacle\Wall;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Solve\Reach\Torch;

/** Reads the open reach format, as a file from anywhere. Fields it does not know are passed over. */
final readonly class ReachProblemReader
{
    public const FORMAT = 'reach-problem/1';

    private const MOST_CUPS = 40;

    private const MOST_PLACES = 2000;

    private const MOST_NEIGHBOURS = 500;

    /** Points of one bent tube. */
    private const MOST_POINTS = 500;

    /** Angles of one kind that are tried. */
    private const MOST_ANGLES = 181;

    /** The sine between two directions that are taken to be one. */
    private const ALONG = 1e-6;

    /** A last step this small a share of a step is none: rounding. */
    private const STEP_SLACK = 1e-9;

    /**
     * @return ReachProblem|non-empty-list<Fault> what is wrong with the file where it cannot be answered
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): ReachProblem|array
    {
        $faults = new Faults;
        $root = Node::open($json, self::FORMAT, null, $faults);
        $name = $root->at('name')->text('', 200);
        $seam = self::seam($root->at('seam'));
        $torch = self::torch($root->at('torch'));
        $cups = self::cups($root->at('cups'));
        $rod = $root->at('rod')->isMissing() ? null : self::rod($root->at('rod'));
        $obstacles = [];
        foreach ($root->at('neighbours')->items(self::MOST_NEIGHBOURS) as $one) {
            array_push($obstacles, ...self::neighbour($one));
        }
        $needPct = ProblemNumbers::within($root->at('need_percent'), 0, 100, 100);
        $wrong = $faults->onePerPlace();
        if ($wrong !== []) {
            return $wrong;
        }
        assert($seam !== null && $cups !== []);

        return new ReachProblem($name, $seam, $torch, $cups, $rod, $obstacles, $needPct / 100);
    }

    /** @return RoundSeam|non-empty-list<SeamPlace>|null */
    private static function seam(Node $node): RoundSeam|array|null
    {
        $kind = $node->at('kind')->text('', 40);
        if ($kind === 'circle') {
            return self::circle($node);
        }
        if ($kind !== 'points') {
            $node->at('kind')->complain('unknown-choice', 'must be one of circle, points');

            return null;
        }
        $places = [];
        foreach ($node->at('points')->items(self::MOST_PLACES) as $one) {
            $normal = ProblemNumbers::direction($one->at('normal'));
            $tangent = ProblemNumbers::direction($one->at('tangent'));
            if ($normal->cross($tangent)->length() < self::ALONG) {
                $one->at('tangent')->complain('along', 'must not lie along the normal');

                return null;
            }
            $places[] = SeamPlace::of(ProblemNumbers::point($one->at('at')), $normal, $tangent);
        }
        if ($places === []) {
            $node->at('points')->complain('none', 'must have at least one place');
        }

        return $places === [] ? null : $places;
    }

    private static function circle(Node $node): ?RoundSeam
    {
        $centre = ProblemNumbers::point($node->at('centre'));
        $axis = ProblemNumbers::direction($node->at('axis'));
        $zero = ProblemNumbers::direction($node->at('zero'));
        $radiusMm = ProblemNumbers::positive($node->at('radius'));
        $leanDeg = ProblemNumbers::within($node->at('lean_deg'), -180, 180, 0);
        if ($axis->cross($zero)->length() < self::ALONG) {
            $node->at('zero')->complain('along', 'must not lie along the axis');

            return null;
        }

        return new RoundSeam($centre, $axis, $zero, $radiusMm, deg2rad($leanDeg));
    }

    private static function torch(Node $node): Torch
    {
        $senses = [];
        foreach ($node->at('senses')->isMissing() ? [] : $node->at('senses')->items(2) as $one) {
            $sense = ['+' => 1, '-' => -1][$one->text('', 4)] ?? 0;
            if ($sense === 0) {
                $one->complain('unknown-choice', 'must be one of +, -');
            }
            $senses[] = $sense;
        }
        if ($senses === [] && ! $node->at('senses')->isMissing()) {
            $node->at('senses')->complain('none', 'must have at least one of +, -');
        }

        return new Torch(
            ProblemNumbers::positive($node->at('body_radius')),
            ProblemNumbers::positive($node->at('body_length')),
            ProblemNumbers::notNegative($node->at('gap')),
            $senses === [] ? [1, -1] : array_values(array_unique($senses)),
            self::angles($node->at('work_deg')),
            self::angles($node->at('travel_deg')),
        );
    }

    /** @return list<Cup> */
    private static function cups(Node $node): array
    {
        $cups = array_map(static fn (Node $one): Cup => new Cup(
            $one->at('id')->required(60),
            ProblemNumbers::positive($one->at('radius')),
            ProblemNumbers::positive($one->at('length')),
            ProblemNumbers::positive($one->at('stick_out')),
        ), $node->items(self::MOST_CUPS));
        if ($cups === []) {
            $node->complain('none', 'must have at least one cup');
        }

        return $cups;
    }

    private static function rod(Node $node): FillerRod
    {
        return new FillerRod(
            ProblemNumbers::positive($node->at('radius')),
            ProblemNumbers::notNegative($node->at('start')),
            ProblemNumbers::positive($node->at('length')),
            ProblemNumbers::notNegative($node->at('gap')),
            self::angles($node->at('rise_deg')),
            self::angles($node->at('side_deg')),
        );
    }

    /**
     * From, by steps, to; both ends among them. One angle may stand alone.
     *
     * @return non-empty-list<float> radians, ascending
     */
    private static function angles(Node $node): array
    {
        if ($node->isMissing() || $node->isAbove(-INF)) {
            return [deg2rad($node->number(360))];
        }
        $from = ProblemNumbers::within($node->at('from'), -180, 180);
        $to = ProblemNumbers::within($node->at('to'), -180, 180);
        if ($to < $from) {
            $node->at('to')->complain('reversed', 'must not be less than from');
        }
        if ($to <= $from) {
            return [deg2rad($from)];
        }
        $step = ProblemNumbers::positive($node->at('step'));
        $steps = (int) ceil(($to - $from) / $step - self::STEP_SLACK);
        if ($steps >= self::MOST_ANGLES) {
            $node->at('step')->complain('too-small', 'makes more than '.self::MOST_ANGLES.' angles of that range');

            return [deg2rad($from)];
        }
        $angles = [];
        for ($i = 0; $i < $steps; $i++) {
            $angles[] = deg2rad($from + $i * $step);
        }

        return [...$angles, deg2rad($to)];
    }

    /** @return list<Obstacle> */
    private static function neighbour(Node $node): array
    {
        $id = $node->at('id')->required(60);
        $type = $node->at('type')->text('', 40);
        if ($type === 'capsules') {
            return self::bars($node, $id);
        }
        if ($type === 'box') {
            return [new Block(new Box(
                $id,
                ProblemNumbers::point($node->at('centre')),
                ProblemKeepOuts::axes($node->at('axes')),
                ProblemKeepOuts::halves($node->at('size')),
            ))];
        }
        if ($type === 'halfspace') {
            return [new Wall(new HalfSpace(
                $id,
                ProblemNumbers::point($node->at('point')),
                ProblemNumbers::direction($node->at('normal')),
            ))];
        }
        $node->at('type')->complain('unknown-choice', 'must be one of capsules, box, halfspace');

        return [];
    }

    /** @return list<RoundBar> */
    private static function bars(Node $node, string $id): array
    {
        $radiusMm = ProblemNumbers::positive($node->at('radius'));
        $points = array_map(ProblemNumbers::point(...), $node->at('points')->items(self::MOST_POINTS));
        if ($points === []) {
            $node->at('points')->complain('none', 'must have at least one point');

            return [];
        }
        // One point alone is a ball.
        $next = array_slice([...$points, $points[0]], 1, max(1, count($points) - 1));

        return array_map(
            static fn (Vector $to, int $i): RoundBar => new RoundBar(new Capsule($id, $points[$i], $to, $radiusMm)),
            $next,
            array_keys($next),
        );
    }
}
