<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Collector\SeamKind;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Cut\EndPrep;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** @param  array<string, mixed>  $change */
function entering(string $entry, array $change = []): Plan
{
    return Planner::plan(
        SomeRoutedSets::header(['set' => ['collectors' => [['entry' => $entry]]], ...$change]),
        Some::shop(),
    );
}

function lastJoint(Plan $plan, string $letter): Joint
{
    $joints = $plan->joints->ofRun($letter);

    return $joints[count($joints) - 1];
}

it('lets a run enter its collector through a joint that every stage knows', function () {
    $plan = entering('welded');
    $joint = lastJoint($plan, 'E');
    expect($joint->type)->toBe(JointType::SlipFillet)
        ->and($joint->and->name)->toBe('Inlet g')
        ->and($joint->seam->stationMm)->toBeClose($plan->layout->runs[0]->run->lengthMm())
        ->and($joint->seam->lengthMm)->toBeClose(M_PI * 41.275)
        ->and(array_column($plan->fit->build->tasks, 'id'))->toContain("tack.$joint->id")
        ->and($plan->weld->sheets)->toHaveKey($joint->id)
        ->and($plan->step("tack.$joint->id"))->not->toBeNull()
        ->and($plan->step("weld.$joint->id"))->not->toBeNull();
});

it('leaves a slip joint unwelded, and logs how deep it goes in', function () {
    $plan = entering('slip');
    $joint = lastJoint($plan, 'E');
    expect($joint->type)->toBe(JointType::Slip)
        ->and($plan->weld->sheets)->not->toHaveKey($joint->id)
        ->and($plan->step("weld.$joint->id"))->toBeNull()
        ->and($plan->step("tack.$joint->id")?->measures[0]->name)->toBe('depth')
        ->and($plan->step("tack.$joint->id")?->measures[0]->planned)->toBeClose(50.8);
});

// Common practice: inlets are expanded to a slip of two inches.
it('cuts the last piece longer by what goes into the inlet, and no other', function () {
    $plan = entering('slip');
    foreach ($plan->cut->pieces as $pieces) {
        foreach ($pieces as $i => $piece) {
            expect($piece->allowances->slip->value)->toBeClose($i === count($pieces) - 1 ? 50.8 : 0.0);
        }
    }
});

it('says where nothing straight is left to go into the inlet', function () {
    $plan = entering('welded', ['runs' => [0 => ['route' => ['endStraight' => 0]]]]);
    $messages = array_map(static fn (Notice $notice): string => "$notice->path $notice->message", $plan->notices());
    expect(implode("\n", $messages))->toContain('runs[0].route.endStraight Piece')->toContain('ends in its bend');
});

it('keeps what a person chose for a collector, and says nothing of what is usual', function (
    CollectorEntry $entry,
    bool $isWritten,
) {
    $job = SomeRoutedSets::header(['set' => ['collectors' => [['entry' => $entry->value]]]]);
    $document = JobWriter::toArray($job);
    expect(array_key_exists('entry', $document['set']['collectors'][0]))->toBe($isWritten)
        ->and(JobReader::fromDecoded($document)->job?->set->collectors[0]->entry)->toBe($entry);
})->with([[CollectorEntry::Welded, false], [CollectorEntry::Slip, true], [CollectorEntry::Butt, true]]);

it('refuses a way of entering that it does not know', function () {
    $document = SomeRoutedSets::veeEight();
    $document['set']['collectors'][0]['entry'] = 'glued';
    expect(JobReader::fromDecoded($document)->faults[0]->path)->toBe('set.collectors[0].entry');
});

it('butts a run to its collector edge to edge: nothing goes in, both are bevelled, and it is cut for the draw of a butt', function () {
    $plan = entering('butt');
    $joint = lastJoint($plan, 'E');
    $pieces = $plan->cut->pieces['E'];
    $last = $pieces[count($pieces) - 1];
    $slips = entering('welded')->cut->pieces['E'];
    expect($joint->type)->toBe(JointType::InletButt)
        ->and($joint->type->seamKind())->toBe(SeamKind::Butts)
        ->and($last->allowances->slip->value)->toBe(0.0)
        ->and($last->cutLengthMm())->toBeLessThan($slips[count($slips) - 1]->cutLengthMm())
        ->and($last->endPrep)->toBe(EndPrep::forButt($plan->layout->runs[0]->tube->wallMm))
        // Tacked like a butt: gap and mismatch are read; welded last, as it ties the runs together.
        ->and(array_map(static fn ($one): string => $one->name, $plan->step("tack.$joint->id")->measures ?? []))->toBe(['gap', 'mismatch'])
        ->and($plan->fit->build->find("weld.$joint->id")?->why)->toContain('ties the runs to one another')
        ->and($plan->weld->sheets[$joint->id]->settings['amps']->value)->toBeGreaterThan(0.0);
});

it('orders every butt at a collector behind the seams of its run, like a slip that is welded', function () {
    foreach (['welded', 'butt'] as $entry) {
        $plan = entering($entry);
        $order = array_column($plan->fit->build->tasks, 'id');
        foreach (['E', 'F', 'G', 'H'] as $letter) {
            $last = array_search('weld.'.lastJoint($plan, $letter)->id, $order, true);
            foreach ($plan->joints->ofRun($letter) as $joint) {
                if ($joint->type->isButt()) {
                    expect(array_search("weld.$joint->id", $order, true))->toBeLessThan($last);
                }
            }
        }
    }
});

it('butts schedule 10 and heavier, slips what is thinner', function (float $wallMm, CollectorEntry $entry) {
    // Common practice; NPS 1 1/4 schedule 10S has 2.77 mm [ASME B36.19M, from memory].
    expect(CollectorEntry::usual($wallMm))->toBe($entry);
})->with([[2.77, CollectorEntry::Butt], [3.048, CollectorEntry::Butt], [2.108, CollectorEntry::Welded], [1.651, CollectorEntry::Welded]]);

it('takes a collector of the primaries’ own pipe, butted, and refuses it as a slip', function () {
    $heavy = static fn (string $entry): Plan => Planner::plan(SomeCollectors::heavy($entry), Some::shop());
    $said = static fn (Plan $plan): string => implode(' ', array_map(static fn (Notice $one): string => $one->message, $plan->notices()));
    expect($said($heavy('welded')))->toContain('expanded by')->toContain('butt it on')
        ->and(str_contains($said($heavy('butt')), 'expanded by'))->toBeFalse()
        ->and(str_contains($said($heavy('butt')), 'edge to edge'))->toBeFalse()
        ->and($heavy('butt')->layout->placement->collectors->all[0]->sizes->leg->value)->toBe(25.4);
});

it('says where edges do not meet', function () {
    $plan = Planner::plan(SomeCollectors::heavy('butt', 'T2.000x.120'), Some::shop());
    expect(implode(' ', array_map(static fn (Notice $one): string => $one->message, $plan->notices())))->toContain('does not meet an inlet of');
});

it('bevels the inlets of a butted collector, and the seams of a heavy one to a land', function () {
    // Common practice: a bevelled heavy wall; a light bevel is for thin tube.
    $ends = static fn (Plan $plan): array => [$plan->cut->ofCollectors['K'][0]->startPrep, $plan->cut->ofCollectors['K'][0]->endPrep];
    expect($ends(Planner::plan(SomeCollectors::heavy('butt'), Some::shop())))->toBe([EndPrep::BevelAndLand, EndPrep::TemplateAndLand])
        ->and($ends(Planner::plan(SomeCollectors::header(), Some::shop())))->toBe([EndPrep::Square, EndPrep::Template]);
});
