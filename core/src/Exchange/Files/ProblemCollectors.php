<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\Port;

/** Reads the collectors of a route problem, and who may go where. */
final readonly class ProblemCollectors
{
    private const MOST = 8;

    /**
     * @param  list<Port>  $ports
     * @return list<InletRing>
     */
    public static function read(Node $list, array $ports): array
    {
        $known = array_map(static fn (Port $port): string => $port->id, $ports);
        $collectors = [];
        $served = [];
        foreach ($list->items(self::MOST) as $node) {
            $node->only(['id', 'inlets', 'assignment', 'near']);
            $inlets = array_map(static fn (Node $inlet): Inlet => new Inlet(
                $inlet->only(['id', 'at', 'dir'])->at('id')->required(40),
                ProblemNumbers::point($inlet->at('at')),
                ProblemNumbers::direction($inlet->at('dir')),
            ), $node->at('inlets')->items(RouteProblemReader::MOST_PORTS));
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
            $collectors[] = new InletRing(
                $node->at('id')->required(40), $inlets, $mode, $runners, $fixed,
                $near->isMissing() ? 0.0 : ProblemNumbers::notNegative($near->only(['length', 'gap'])->at('length')),
                $near->isMissing() ? 0.0 : ProblemNumbers::notNegative($near->at('gap')),
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
            $list->items(RouteProblemReader::MOST_PORTS),
        );
        if ($mode !== AssignmentMode::Fixed) {
            return [$mode, $names($node->at($mode === AssignmentMode::Any ? 'runners' : 'order')), []];
        }
        $ids = array_map(static fn (Inlet $inlet): string => $inlet->id, $inlets);
        $runners = $fixed = [];
        foreach ($node->at('map')->entries(RouteProblemReader::MOST_PORTS) as $runner => $entry) {
            $place = array_search($entry->required(40), $ids, true);
            if ($place === false || in_array($place, $fixed, true)) {
                $entry->complain('bad-inlet', 'must name an inlet of this collector, each once: '.implode(', ', $ids));
            }
            $runners[] = (string) $runner;
            $fixed[] = (int) $place;
        }

        return [$mode, $runners, $fixed];
    }
}
