<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Insertion\WholeTube;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\SetRules;
use UpsweptBead\Core\Solve\Route\Problem\StockBend;
use UpsweptBead\Core\Solve\Route\Problem\TubeStock;
use UpsweptBead\Core\Solve\Route\Search\Span;
use UpsweptBead\Core\Solve\Route\Search\Way;

/** Tubes laid by hand, for tests of what stands beside what. */
final class SomeWays
{
    /**
     * A tube of 40 mm through points, its bends on 50 mm.
     *
     * @param  list<array{float|int, float|int, float|int}>  $points  its two ends and the vertices between
     */
    public static function through(string $id, array $points): Way
    {
        $vectors = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), $points);
        $last = count($vectors) - 1;
        $tube = new TubeStock('t', 40.0, [new StockBend(50.0, 135.0, 0.0)]);
        $port = new Port($id, $vectors[0], $vectors[1]->minus($vectors[0])->unit(), $tube);
        $inlet = new Inlet($id, $vectors[$last], $vectors[$last]->minus($vectors[$last - 1])->unit());
        $collector = new InletRing($id, [$inlet], AssignmentMode::Fixed, [$id], [0]);
        $inner = array_map(static fn (Vector $one): array => $one->toArray(), array_slice($vectors, 1, -1));

        return Way::of(
            new Span(0, $port, $inlet, $collector, new SetRules()),
            array_merge([], ...$inner),
            array_fill(0, $last - 1, 50.0),
        )->cut();
    }

    /** Such a tube, to be put in whole. */
    public static function whole(Way $way): WholeTube
    {
        return new WholeTube(
            $way->span->port->id,
            $way->chords(),
            $way->span->port->direction,
            $way->span->inlet->direction,
        );
    }
}
