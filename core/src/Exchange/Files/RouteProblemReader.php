<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Shop\Practice\AngleGrid;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Solve\Route\Problem\LengthGroup;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Problem\SetRules;
use UpsweptBead\Core\Solve\Route\Problem\StockBend;
use UpsweptBead\Core\Solve\Route\Problem\TubeStock;

/** Reads the open route problem format (docs/route-problem.md), as a file from anywhere. */
final readonly class RouteProblemReader
{
    public const FORMAT = 'route-case/1';

    public const MOST_PORTS = 16;

    private const MOST_KEEP_OUTS = 60;

    /**
     * @return RouteProblem|list<Fault> the problem, or what is wrong with the file
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): RouteProblem|array
    {
        $faults = new Faults;
        $root = Node::open($json, self::FORMAT, null, $faults);
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
        $collectors = ProblemCollectors::read($root->at('collectors'), $ports);
        $keepOuts = $root->at('keepouts')->isMissing()
            ? []
            : array_map(ProblemKeepOuts::read(...), $root->at('keepouts')->items(self::MOST_KEEP_OUTS));
        $lengths = $root->at('lengths')->isMissing()
            ? []
            : array_map(
                static fn (Node $node): LengthGroup => self::group($node, $ports),
                $root->at('lengths')->items(self::MOST_PORTS),
            );
        if ($ports === [] || $collectors === []) {
            $root->at($ports === [] ? 'ports' : 'collectors')->complain('missing', 'must have one entry at least');
        }
        $wrong = $faults->all();

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
            ProblemNumbers::positive($bend->only(['radius', 'max_angle', 'leg'])->at('radius')),
            ProblemNumbers::within($bend->at('max_angle'), 0.0, 180.0),
            $bend->at('leg')->isMissing() ? 0.0 : ProblemNumbers::notNegative($bend->at('leg')),
        ), $node->at('bends')->items(20));
        if ($bends === []) {
            $node->at('bends')->complain('missing', 'must have one bend at least');
            $bends = [new StockBend(1.0, 90.0, 0.0)];
        }
        $slash = strrpos($node->path, '.');

        return new TubeStock(
            substr($node->path, $slash === false ? 0 : $slash + 1),
            ProblemNumbers::positive($node->at('od')),
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
            : ProblemNumbers::notNegative($node->at($key));

        $limits = $plain->limits;

        return new SetRules(
            new RoutingLimits(
                $read('first_straight', $limits->firstStraightMm),
                $read('inner_straight', $limits->innerStraightMm),
                $read('last_straight', $limits->lastStraightMm),
                min($read('min_angle', $limits->minAngleDeg), 180.0),
                new AngleGrid(
                    ProblemNumbers::within($node->at('angle_step'), 0.1, 180.0, $limits->grid->stepDeg),
                    $read('angle_window', $limits->grid->windowDeg),
                ),
            ),
            (int) ProblemNumbers::within($node->at('max_bends'), 0.0, 6.0, (float) $plain->maxBends),
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
            $ports[$id] = new Port(
                $id,
                ProblemNumbers::point($node->at('at')),
                ProblemNumbers::direction($node->at('dir')),
                $tube,
            );
        }

        return array_values($ports);
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
            $node->at('target')->isMissing() ? null : ProblemNumbers::positive($node->at('target')),
            ProblemNumbers::within($node->at('tol_pct'), 0.001, 100.0, 1.0),
        );
    }
}
