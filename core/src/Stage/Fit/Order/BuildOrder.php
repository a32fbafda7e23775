<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Fit\Twins;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Step\StepKind;

/** One order of building for the whole job, as reasons and people have it. */
final readonly class BuildOrder
{
    private const SAME_MM = 0.5;

    /**
     * @param  list<BuiltCollector>  $collectors
     * @param  list<string>  $letters  of the runs, as they go in
     */
    public static function of(
        JointList $joints,
        array $collectors,
        array $letters,
        ?Insertion $insertion,
        Access $access,
        Job $job,
        Layout $layout,
        Shop $shop,
    ): Sequence {
        $graph = new Graph;
        $making = new CollectorTasks($graph, $joints);
        foreach ($collectors as $i => $collector) {
            $making->add($collector, $i);
        }
        (new RunTasks($graph, $joints, new GoingIn($letters, $insertion), Twins::of($layout->runs)))->add();
        $stubs = self::stubs($joints, $job, $shop);
        $collected = array_values(array_filter(
            $letters,
            static fn (string $letter): bool => $job->collectorOf($letter) !== null,
        ));
        (new WeldTasks($graph, $joints, $letters, $access, $stubs, $collected))->add();
        (new StubTasks($graph, $joints))->add($letters, $stubs);
        (new SideTasks($graph, $joints, $letters, $access))->add();
        $wheelMm = $shop->rules->value('finish.wheel');
        (new PolishTasks($graph, $joints, $letters, $layout->gaps, $wheelMm))->add($job->set->polished);
        foreach ($collectors as $collector) {
            self::whole($graph, $collector, $joints);
        }

        return Sequence::of($graph, $job->overrides);
    }

    /** @return list<string> letters of the runs that begin with a stub, where there was room for one */
    private static function stubs(JointList $joints, Job $job, Shop $shop): array
    {
        $isThere = static function (string $letter) use ($joints, $job, $shop): bool {
            $atMm = ($job->run($letter)->start->wall->mm ?? 0.0) + $shop->rules->value('fit.stub');
            foreach ($joints->ofRun($letter) as $joint) {
                if ($joint->type->isButt()) {
                    return $joint->seam->stationMm <= $atMm + self::SAME_MM;
                }
            }

            return false;
        };

        return array_values(array_filter($job->set->stubs, $isThere));
    }

    /** A collector is whole before a run goes into it or on behind it. */
    private static function whole(Graph $graph, BuiltCollector $collector, JointList $joints): void
    {
        $welds = array_filter(
            $joints->ofRun($collector->build->letter),
            static fn (Joint $joint): bool => $joint->type->isWelded(),
        );
        $runs = [...$collector->spec->runs, ...$collector->build->into === null ? [] : [$collector->build->into]];
        foreach ($runs as $letter) {
            foreach ($joints->ofRun($letter) as $joint) {
                $isInto = in_array(
                    $joint->type,
                    [JointType::Slip, JointType::SlipFillet, JointType::InletButt],
                    true,
                );
                $isBehind = $letter === $collector->build->into && $joint->seam->stationMm <= 0.0;
                foreach ($isInto || $isBehind ? $welds : [] as $weld) {
                    $graph->before(
                        StepKind::Weld->key($weld->id),
                        StepKind::Tack->key($joint->id),
                        'The collector is whole before any run goes on.',
                        'Its inside seams are out of reach behind the runs.',
                    );
                }
            }
        }
    }
}
