<?php

declare(strict_types=1);

use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Tests\Support\Some;

/** @return array<string, JointSheet> the sheets of the example downpipe, by kind of joint */
function sheetsByType(): array
{
    $sheets = [];
    foreach (Some::plan()->weld->sheets as $sheet) {
        $sheets[$sheet->joint->type->value] = $sheet;
    }

    return $sheets;
}

it('holds the purge while welding, while stopping, and until the root may see air', function () {
    foreach (sheetsByType() as $sheet) {
        [$purge, $times] = [$sheet->purge, $sheet->times];
        $litres = ($purge->value('flow') * $times->fillS + $purge->value('hold') * ($times->weldS + $times->keepS)) / 60;
        expect($purge->value('argon'))->toBeClose($litres, 1e-9)
            ->and($times->fillS)->toBe($purge->value('fill'));
    }
});

it('counts a post-flow for every stop, and one stop for every started run of bead', function () {
    foreach (sheetsByType() as $sheet) {
        $arc = $sheet->settings['arc']->value;
        $postflow = $sheet->settings['postflow']->value;
        $stops = ($sheet->times->weldS - $arc) / $postflow;
        expect($stops)->toBeClose(round($stops), 0, 1e-9)
            // Common practice: about an inch at a time.
            ->and($sheet->joint->seam->lengthMm / $stops)->toBeLessThanOrEqual(25.4 + 1e-9)
            ->and($sheet->joint->seam->lengthMm / $stops)->toBeGreaterThan(20.0);
    }
});

it('gives the reason that fits the joint', function (JointType $type, string $words) {
    expect(sheetsByType()[$type->value]->settings['amps']->reason->rule)->toContain($words);
})->with([
    [JointType::FlangeSeal, 'the seal is fused with little heat'],
    [JointType::Butt, 'full-penetration butt'],
    [JointType::VBandButt, 'the thicker side draws heat'],
]);

it('says what the amps were before they were rounded to the dial', function () {
    $amps = sheetsByType()[JointType::Butt->value]->settings['amps'];
    $texts = array_map(static fn ($input): string => $input->text(Some::job()->units), $amps->reason->inputs);
    // 0.8 A a thousandth on .065 in: 52 A, dialled in as 50.
    expect($amps->value)->toBe(50.0)->and($texts)->toContain('52.0 A');
});

it('takes torch argon for the arc and for every stop', function () {
    foreach (sheetsByType() as $sheet) {
        // The whole time at the joint is the arc and the post-flows; the flow is in litres a minute.
        $litres = $sheet->settings['flow']->value * $sheet->times->weldS / 60;
        expect($sheet->settings['torchArgon']->value)->toBeClose($litres, 1e-9)
            ->and($sheet->times->weldS)->toBeGreaterThan($sheet->settings['arc']->value);
    }
});
