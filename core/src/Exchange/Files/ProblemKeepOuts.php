<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;

/** Reads the keep-outs of a route problem. */
final readonly class ProblemKeepOuts
{
    /** The least length of a bar, mm. */
    private const LEAST_MM = 1e-6;

    /** Axes are square if the cosines between them are no more than this. */
    private const SQUARE = 1e-3;

    /** Null where it is none; the faults are with the node. */
    public static function read(Node $node): ?KeepOut
    {
        $id = $node->at('id')->required(60);
        $type = $node->at('type')->required(20);
        $clearance = $node->at('clearance')->isMissing() ? null : ProblemNumbers::notNegative($node->at('clearance'));
        $first = $node->at('exempt_first')->isMissing() ? 0.0 : ProblemNumbers::notNegative($node->at('exempt_first'));
        $last = $node->at('exempt_last')->isMissing() ? 0.0 : ProblemNumbers::notNegative($node->at('exempt_last'));
        $common = ['id', 'type', 'clearance', 'exempt_first', 'exempt_last', 'kind', 'note'];
        if ($type === 'halfspace') {
            $node->only([...$common, 'point', 'normal']);

            return new HalfSpace(
                $id,
                ProblemNumbers::point($node->at('point')),
                ProblemNumbers::direction($node->at('normal')),
                $clearance,
                $first,
                $last,
            );
        }
        if ($type === 'box') {
            $node->only([...$common, 'centre', 'size', 'axes']);

            return new Box(
                $id,
                ProblemNumbers::point($node->at('centre')),
                self::axes($node->at('axes')),
                self::halves($node->at('size')),
                $clearance,
                $first,
                $last,
            );
        }
        if ($type !== 'cylinder' && $type !== 'capsule') {
            $node->at('type')->complain('unknown-choice', 'must be one of halfspace, box, cylinder, capsule');

            return null;
        }
        $node->only([...$common, 'from', 'to', 'radius']);
        [$from, $to] = [ProblemNumbers::point($node->at('from')), ProblemNumbers::point($node->at('to'))];
        if ($from->distanceTo($to) < self::LEAST_MM) {
            $node->at('to')->complain('no-length', 'must be another point than from');

            return null;
        }
        $radius = ProblemNumbers::positive($node->at('radius'));

        return $type === 'cylinder'
            ? new Cylinder($id, $from, $to, $radius, $clearance, $first, $last)
            : new Capsule($id, $from, $to, $radius, $clearance, $first, $last);
    }

    /** @return array{Vector, Vector, Vector} of a box */
    public static function axes(Node $node): array
    {
        $own = [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)];
        if ($node->isMissing()) {
            return $own;
        }
        $axes = array_map(ProblemNumbers::direction(...), $node->items(3));
        if (
            count($axes) !== 3 ||
            max(abs($axes[0]->dot($axes[1])), abs($axes[1]->dot($axes[2])), abs($axes[2]->dot($axes[0]))) > self::SQUARE
        ) {
            $node->complain('not-square', 'must be three directions that are square to each other');

            return $own;
        }

        return [$axes[0], $axes[1], $axes[2]];
    }

    /** @return array{float, float, float} half of each edge, mm */
    public static function halves(Node $node): array
    {
        $sizes = array_map(ProblemNumbers::positive(...), $node->items(3));
        if (count($sizes) !== 3) {
            $node->complain('not-a-size', 'must be three edges in mm');

            return [1.0, 1.0, 1.0];
        }

        return [$sizes[0] / 2, $sizes[1] / 2, $sizes[2] / 2];
    }
}
