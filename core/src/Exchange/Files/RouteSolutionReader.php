<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Set\DesignRun;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * Reads an answer in the open route solution format (docs/route-problem.md) as a design for the job it was asked for.
 */
final readonly class RouteSolutionReader
{
    /**
     * @return DesignSpec|list<Fault> the design, or what is wrong
     *
     * @throws UnusableDocument if it is no such file
     */
    public static function read(string $json, Job $job, string $name): DesignSpec|array
    {
        $faults = new Faults;
        $root = Node::open($json, RouteSolutionWriter::FORMAT, null, $faults);
        if ($root->at('status')->required(20) !== 'solved') {
            $root->at('status')->complain('not-solved', 'must be "solved"; there is nothing to take over otherwise');

            return $faults->all();
        }
        $runs = [];
        foreach ($root->at('runners')->items(16) as $node) {
            $run = self::run($node, $job);
            if ($run !== null) {
                $runs[] = $run;
            }
        }
        if ($runs === [] && $faults->all() === []) {
            $root->at('runners')->complain('empty', 'has no runner');
        }

        return $faults->all() === [] ? new DesignSpec($name, '', $runs) : $faults->all();
    }

    private static function run(Node $node, Job $job): ?DesignRun
    {
        $spec = $job->run($node->at('id')->required(60));
        $end = $job->run($node->at('inlet')->required(60))?->end;
        if ($spec === null || $end === null) {
            $node->complain(
                'unknown-run',
                'its id and its inlet must be runs of this job, as the exported problem names them',
            );

            return null;
        }
        $inner = array_map(static fn (Node $point): Vector => $point->point(), $node->at('vertices')->items(12));
        $radii = array_map(static fn (Node $radius): float => $radius->number(1e4), $node->at('radii')->items(12));
        $start = $spec->start->frame();
        try {
            $run = TubeRun::fromXyz([$start->at, ...$inner, $end->frame()->at], $radii, $start->reference);
        } catch (\DomainException $error) {
            $node->complain('bad-route', lcfirst($error->getMessage()));

            return null;
        }
        if ($run->start->forward->angleDegTo($start->forward) > 0.5) {
            $node->complain(
                'off-axis',
                sprintf('leaves its port %.1f° off its direction', $run->start->forward->angleDegTo($start->forward)),
            );

            return null;
        }

        return new DesignRun($spec->letter, $end->at, $end->direction, RouteChoice::of($run));
    }
}
