<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * The example tube as one that is there already, with seams to be cut out of it.
 *
 * @param  list<string>  $stations
 */
function repaired(array $stations): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $run = is_array($document['runs']) && is_array($document['runs'][0]) ? $document['runs'][0] : [];
    $route = is_array($run['route']) ? $run['route'] : [];
    $document['runs'] = [[...$run, 'there' => true, 'route' => [...$route, 'cuts' => ['joints' => $stations]]]];
    $read = JobReader::fromDecoded($document);

    return Planner::plan($read->job ?? throw new LogicException('unreadable'), Some::shop());
}

/** @return list<float> */
function seamsAt(Plan $plan): array
{
    return array_values(array_map(
        static fn (Joint $one): float => $one->seam->stationMm,
        array_filter($plan->joints->joints, static fn (Joint $one): bool => $one->type === JointType::Butt),
    ));
}

it('takes the seams of a tube that is there where they are, also inside a bend', function () {
    $run = Some::plan()->layout->run('A')->run ?? throw new LogicException('no route');
    // In the middle of its first bend, where no stock would let a joint be.
    $inBend = round($run->straightsMm()[0] + $run->bends[0]->arcMm() / 2, 2);
    expect(seamsAt(repaired(["$inBend mm"])))->toBe([$inBend])
        ->and(seamsAt(repaired(['101.3 mm', "$inBend mm"])))->toBe([101.3, $inBend])
        ->and(repaired(["$inBend mm"])->cut->nestings)->toBe([]);
});

it('has no other joints in it than were asked for', function () {
    expect(seamsAt(repaired([])))->toBe([]);
});

it('says where no seam can be, and cuts none out instead', function () {
    $plan = repaired(['90000 mm']);
    expect(seamsAt($plan))->toBe([])->and(implode(' ', array_map(
        static fn ($one): string => $one->message,
        $plan->cut->notices,
    )))->toContain('beyond the tube');
});
