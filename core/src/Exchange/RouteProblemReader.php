<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange;

use UpsweptBead\Core\Document\Node;
use UpsweptBead\Core\Document\Problem;
use UpsweptBead\Core\Document\Problems;
use UpsweptBead\Core\Document\UnusableDocument;
use UpsweptBead\Core\Geometry\Solid\Box;
use UpsweptBead\Core\Geometry\Solid\Capsule;
use UpsweptBead\Core\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\AssignmentMode;
use UpsweptBead\Core\Route\Problem\Collector;
use UpsweptBead\Core\Route\Problem\Inlet;
use UpsweptBead\Core\Route\Problem\LengthGroup;
use UpsweptBead\Core\Route\Problem\Port;
use UpsweptBead\Core\Route\Problem\RouteProblem;
use UpsweptBead\Core\Route\Problem\SetRules;
use UpsweptBead\Core\Route\Problem\StockBend;
use UpsweptBead\Core\Route\Problem\TubeStock;
use UpsweptBead\Core\Run\AngleGrid;
use UpsweptBead\Core\Shop\RoutingLimits;

/** Reads the open route problem format (docs/route-problem.md), as a file from anywhere. */
final readonly class RouteProblemReader
{
    public const FORMAT = 'route-case/1';

    private const MOST_PORTS = 16;

    private const MOST_COLLECTORS = 8;

    private const MOST_KEEP_OUTS = 60;

    /**
     * @return RouteProblem|list<Problem> the problem, or what is wrong with the file
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): RouteProblem|array
    {
        $problems = new Problems;
        $root = Node::open($json, self::FORMAT, null, $problems);
        $root->only([
            'name',
            'title',
            'difficulty',
            'notes',
            'tubes',
            'rules',
            'ports',
            'collectors',
            'keepouts',
            'lengths',
        ]);
        $tubes = array_map(self::tube(...), $root->at('tubes')->entries(20));
        $rules = self::rules($root->at('rules'));
        $ports = self::ports($root->at('ports'), $tubes);
        $collectors = self::collectors($root->at('collectors'), $ports);
        $keepOuts = $root->at('keepouts')->isMissing()
            ? []
            : array_map(self::keepOut(...), $root->at('keepouts')->items(self::MOST_KEEP_OUTS));
        $lengths = $root->at('lengths')->isMissing()
            ? []
            : array_map(
                static fn (Node $node): LengthGroup => self::group($node, $ports),
                $root->at('lengths')->items(self::MOST_PORTS),
            );
        if ($ports === [] || $collectors === []) {
            $root->at($ports === [] ? 'ports' : 'collectors')->complain('missing', 'must have one entry at least');
        }
        $wrong = $problems->all();

        return $wrong !== [] || $ports === [] || $collectors === []
            ? $wrong
            : new RouteProblem(
                $root->at('name')->text('', 200),
                $rules,
                $ports,
                $collectors,
                array_values(array_filter($keepOuts)),
                $lengths,
            );
    }

    private static function tube(Node $node): TubeStock
    {
        $node->only(['od', 'bends']);
        $bends = array_map(static fn (Node $bend): StockBend => new StockBend(
            self::positive($bend->only(['radius', 'max_angle', 'leg'])->at('radius')),
            self::within($bend->at('max_angle'), 0.0, 180.0),
            $bend->at('leg')->isMissing() ? 0.0 : self::notNegative($bend->at('leg')),
        ), $node->at('bends')->items(20));
        if ($bends === []) {
            $node->at('bends')->complain('missing', 'must have one bend at least');
            $bends = [new StockBend(1.0, 90.0, 0.0)];
        }
        $slash = strrpos($node->path, '.');

        return new TubeStock(
            substr($node->path, $slash === false ? 0 : $slash + 1),
            self::positive($node->at('od')),
            $bends,
        );
    }

    private static function rules(Node $node): SetRules
    {
        $node->only([
            'min_angle',
            'max_bends',
            'first_straight',
            'inner_straight',
            'last_straight',
            'gap',
            'clearance',
            'angle_step',
            'angle_window',
        ]);
        $plain = new SetRules();
        $read = static fn (string $key, float $default): float => $node->at($key)->isMissing()
            ? $default
            : self::notNegative($node->at($key));

        $limits = $plain->limits;

        return new SetRules(
            new RoutingLimits(
                $read('first_straight', $limits->firstStraightMm),
                $read('inner_straight', $limits->innerStraightMm),
                $read('last_straight', $limits->lastStraightMm),
                min($read('min_angle', $limits->minAngleDeg), 180.0),
                new AngleGrid(
                    self::within($node->at('angle_step'), 0.1, 180.0, $limits->grid->stepDeg),
                    $read('angle_window', $limits->grid->windowDeg),
                ),
            ),
            (int) self::within($node->at('max_bends'), 0.0, 6.0, (float) $plain->maxBends),
            $read('gap', $plain->gapMm),
            $read('clearance', $plain->clearanceMm),
        );
    }

    /**
     * @param  array<array-key, TubeStock>  $tubes
     * @return list<Port>
     */
    private static function ports(Node $list, array $tubes): array
    {
        $ports = [];
        foreach ($list->items(self::MOST_PORTS) as $node) {
            $node->only(['id', 'at', 'dir', 'tube']);
            $id = $node->at('id')->required(40);
            $tube = $tubes[$node->at('tube')->required(40)] ?? null;
            if ($tube === null) {
                $node
                    ->at('tube')
                    ->complain(
                        'unknown-tube',
                        'is not the name of one of the tubes: '.implode(', ', array_keys($tubes)),
                    );

                continue;
            }
            if (isset($ports[$id])) {
                $node->at('id')->complain('double-id', "is the id of another port already: $id");
            }
            $ports[$id] = new Port($id, self::point($node->at('at')), self::direction($node->at('dir')), $tube);
        }

        return array_values($ports);
    }

    /**
     * @param  list<Port>  $ports
     * @return list<Collector>
     */
    private static function collectors(Node $list, array $ports): array
    {
        $known = array_map(static fn (Port $port): string => $port->id, $ports);
        $collectors = [];
        $served = [];
        foreach ($list->items(self::MOST_COLLECTORS) as $node) {
            $node->only(['id', 'inlets', 'assignment', 'near']);
            $inlets = array_map(static fn (Node $inlet): Inlet => new Inlet(
                $inlet->only(['id', 'at', 'dir'])->at('id')->required(40),
                self::point($inlet->at('at')),
                self::direction($inlet->at('dir')),
            ), $node->at('inlets')->items(self::MOST_PORTS));
            if ($inlets === []) {
                $node->at('inlets')->complain('missing', 'must have one inlet at least');

                continue;
            }
            [$mode, $runners, $fixed] = self::assignment($node->at('assignment'), $inlets);
            foreach ($runners as $runner) {
                if (! in_array($runner, $known, true) || isset($served[$runner])) {
                    $node
                        ->at('assignment')
                        ->complain(
                            'bad-runner',
                            isset($served[$runner])
                                ? "names the port $runner, which has its place already"
                                : "names no port of this problem: $runner",
                        );
                }
                $served[$runner] = true;
            }
            if (count($runners) > count($inlets)) {
                $node
                    ->at('assignment')
                    ->complain('too-many', sprintf('has %d tubes for %d inlets', count($runners), count($inlets)));
            }
            $near = $node->at('near');
            $collectors[] = new Collector(
                $node->at('id')->required(40), $inlets, $mode, $runners, $fixed,
                $near->isMissing() ? 0.0 : self::notNegative($near->only(['length', 'gap'])->at('length')),
                $near->isMissing() ? 0.0 : self::notNegative($near->at('gap')),
            );
        }
        foreach (array_diff($known, array_map(strval(...), array_keys($served))) as $left) {
            $list->complain('no-place', "give the port $left no inlet to go to");
        }

        return $collectors;
    }

    /**
     * @param  non-empty-list<Inlet>  $inlets
     * @return array{AssignmentMode, list<string>, list<int>}
     */
    private static function assignment(Node $node, array $inlets): array
    {
        $node->only(['mode', 'map', 'runners', 'order']);
        $mode = $node->at('mode')->choice(AssignmentMode::class, AssignmentMode::Any);
        $names = static fn (Node $list): array => array_map(
            static fn (Node $one): string => $one->required(40),
            $list->items(self::MOST_PORTS),
        );
        if ($mode !== AssignmentMode::Fixed) {
            return [$mode, $names($node->at($mode === AssignmentMode::Any ? 'runners' : 'order')), []];
        }
        $ids = array_map(static fn (Inlet $inlet): string => $inlet->id, $inlets);
        $runners = $fixed = [];
        foreach ($node->at('map')->entries(self::MOST_PORTS) as $runner => $entry) {
            $place = array_search($entry->required(40), $ids, true);
            if ($place === false || in_array($place, $fixed, true)) {
                $entry->complain('bad-inlet', 'must name an inlet of this collector, each once: '.implode(', ', $ids));
            }
            $runners[] = (string) $runner;
            $fixed[] = (int) $place;
        }

        return [$mode, $runners, $fixed];
    }

    private static function keepOut(Node $node): ?KeepOut
    {
        $id = $node->at('id')->required(60);
        $type = $node->at('type')->required(20);
        $clearance = $node->at('clearance')->isMissing() ? null : self::notNegative($node->at('clearance'));
        $first = $node->at('exempt_first')->isMissing() ? 0.0 : self::notNegative($node->at('exempt_first'));
        $last = $node->at('exempt_last')->isMissing() ? 0.0 : self::notNegative($node->at('exempt_last'));
        $common = ['id', 'type', 'clearance', 'exempt_first', 'exempt_last', 'kind', 'note'];
        if ($type === 'halfspace') {
            $node->only([...$common, 'point', 'normal']);

            return new HalfSpace(
                $id,
                self::point($node->at('point')),
                self::direction($node->at('normal')),
                $clearance,
                $first,
                $last,
            );
        }
        if ($type === 'box') {
            $node->only([...$common, 'centre', 'size', 'axes']);

            return new Box(
                $id,
                self::point($node->at('centre')),
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
        [$from, $to] = [self::point($node->at('from')), self::point($node->at('to'))];
        if ($from->distanceTo($to) < 1e-6) {
            $node->at('to')->complain('no-length', 'must be another point than from');

            return null;
        }
        $radius = self::positive($node->at('radius'));

        return $type === 'cylinder'
            ? new Cylinder($id, $from, $to, $radius, $clearance, $first, $last)
            : new Capsule($id, $from, $to, $radius, $clearance, $first, $last);
    }

    /** @param  list<Port>  $ports */
    private static function group(Node $node, array $ports): LengthGroup
    {
        $node->only(['runners', 'target', 'tol_pct']);
        $runners = array_map(
            static fn (Node $one): string => $one->required(40),
            $node->at('runners')->items(self::MOST_PORTS),
        );
        foreach (array_diff($runners, array_map(static fn (Port $port): string => $port->id, $ports)) as $unknown) {
            $node->at('runners')->complain('bad-runner', "names no port of this problem: $unknown");
        }

        return new LengthGroup(
            $runners,
            $node->at('target')->isMissing() ? null : self::positive($node->at('target')),
            self::within($node->at('tol_pct'), 0.001, 100.0, 1.0),
        );
    }

    private static function point(Node $node): Vector
    {
        $parts = array_map(static fn (Node $item): float => $item->number(1e5), $node->items(3));
        if (count($parts) !== 3) {
            $node->complain('not-a-point', 'must be three numbers: x, y and z in mm');

            return new Vector(0, 0, 0);
        }

        return new Vector(...$parts);
    }

    private static function direction(Node $node): Vector
    {
        return $node->direction()->unit();
    }

    /** @return array{Vector, Vector, Vector} */
    private static function axes(Node $node): array
    {
        $own = [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)];
        if ($node->isMissing()) {
            return $own;
        }
        $axes = array_map(self::direction(...), $node->items(3));
        if (
            count($axes) !== 3 ||
            max(abs($axes[0]->dot($axes[1])), abs($axes[1]->dot($axes[2])), abs($axes[2]->dot($axes[0]))) > 1e-3
        ) {
            $node->complain('not-square', 'must be three directions that are square to each other');

            return $own;
        }

        return [$axes[0], $axes[1], $axes[2]];
    }

    /** @return array{float, float, float} */
    private static function halves(Node $node): array
    {
        $sizes = array_map(self::positive(...), $node->items(3));
        if (count($sizes) !== 3) {
            $node->complain('not-a-size', 'must be three edges in mm');

            return [1.0, 1.0, 1.0];
        }

        return [$sizes[0] / 2, $sizes[1] / 2, $sizes[2] / 2];
    }

    private static function positive(Node $node): float
    {
        $value = $node->number(1e5);
        if ($value <= 0) {
            $node->complain('not-positive', 'must be more than 0');

            return 1.0;
        }

        return $value;
    }

    private static function notNegative(Node $node): float
    {
        $value = $node->number(1e5);
        if ($value < 0) {
            $node->complain('negative', 'must not be negative');
        }

        return max($value, 0.0);
    }

    private static function within(Node $node, float $least, float $most, ?float $default = null): float
    {
        if ($default !== null && $node->isMissing()) {
            return $default;
        }
        $value = $node->number(1e6);
        if ($value < $least || $value > $most) {
            $node->complain('out-of-range', "must lie between $least and $most");
        }

        return min(max($value, $least), $most);
    }
}
