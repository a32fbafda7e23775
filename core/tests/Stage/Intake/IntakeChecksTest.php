<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Stage\Intake\FirstLayout;
use UpsweptBead\Core\Stage\Intake\IntakeChecks;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeIntake;

/**
 * @param  array<string, mixed>  $answers
 * @param  array<string, mixed>  $more
 */
function saidAtIntake(string $purpose, array $answers = [], array $more = []): string
{
    return implode(' ', array_map(
        static fn (Notice $one): string => $one->message,
        IntakeChecks::notices(SomeIntake::start($purpose, $answers, $more), Some::shop()),
    ));
}

it('puts the law first on the road, and the rules of the class where it races', function () {
    expect(saidAtIntake('system', ['ground' => 'road']))->toContain('the law comes first')
        ->and(saidAtIntake('system', ['ground' => 'road', 'catalyst' => false]))->toContain('against the law in many places')
        ->and(saidAtIntake('system', ['ground' => 'class']))->toContain('Read the rules of the class')
        ->and(saidAtIntake('system', ['ground' => 'class', 'rules' => '98 dB at 4500']))->toBe('')
        ->and(saidAtIntake('system', ['ground' => 'private']))->toBe('');
});

it('checks what is brought against the metal', function (string $metal, string $says) {
    expect(saidAtIntake('header', ['brought' => [['what' => 'flanges', 'metal' => $metal]]]))->toContain($says);
})->with([
    '303 cracks' => ['303', 'cracks when welded'],
    'titanium is never welded to steel' => ['titanium', 'nothing in the table welds it to 304L'],
    'iron wants nickel, preheat and slow cooling' => ['cast-iron', 'nickel rod'],
    'mild steel rusts' => ['mild', 'the surface rusts'],
    'nobody knows what it is' => ['mithril', 'is not a metal in the table'],
]);

it('wants a casting known before anything is promised', function () {
    expect(saidAtIntake('turbo-manifold', ['brought' => [['what' => 'casting']]]))->toContain('find out what it is');
});

it('wants used tube measured', function () {
    expect(saidAtIntake('system', ['brought' => [['what' => 'tube', 'used' => true]]]))->toContain('measure its wall')
        ->and(saidAtIntake('system', ['brought' => [['what' => 'tube']]]))->toBe('');
});

it('warns of thin tube on a vehicle that is driven, not in a class', function () {
    $thin = SomeIntake::overruled('intake.tube', '1 3/4 in × .049');
    expect(saidAtIntake('header', [], $thin))->toContain('is thin')
        ->and(saidAtIntake('header', ['ground' => 'class', 'rules' => 'none'], $thin))->toBe('');
});

it('says so where a tube is in no catalogue, or a twin scroll cannot be paired', function () {
    expect(saidAtIntake('header', [], SomeIntake::overruled('intake.tube', 'drainpipe')))->toContain('No tube of the catalogue is called "drainpipe"')
        ->and(saidAtIntake('turbo-manifold', ['scrolls' => 'two', 'cylinders' => 5]))->toContain('say how it fires');
});

it('keeps saying that nothing was measured until it was', function () {
    $laid = FirstLayout::of(SomeIntake::start('header', ['ground' => 'private'])) ?? throw new LogicException('not laid out');
    $said = static fn ($job): string => implode(' ', array_map(
        static fn (Notice $one): string => $one->message,
        Planner::plan($job, Some::shop())->survey->notices,
    ));
    expect($said($laid))->toContain('Nothing was measured yet of the start of run B, the start of run C, the start of run D, Collector');
    $moved = $laid->with(array_map(
        static fn ($run) => $run->between($run->start->moved(UpsweptBead\Core\Job\Points::of(
            $run->start->frame()->at->plus(new UpsweptBead\Core\Base\Geometry\Vector(0.0, 3.0, 0.0)),
        ), $run->start->direction), $run->end),
        $laid->runs,
    ), $laid->set);
    expect($said($moved))->toContain('Nothing was measured yet of Collector: it stands');
});

it('says what it counts with where a figure is beyond that', function () {
    expect(saidAtIntake('header', [], SomeIntake::overruled('intake.bends', '5000')))->toContain('12 is counted with, not 5000')
        ->and(saidAtIntake('header', [], SomeIntake::overruled('intake.length', '60 ft')))->toContain('is counted with, not')
        ->and(saidAtIntake('header', [], SomeIntake::overruled('intake.bends', '4')))->toBe('')
        ->and(saidAtIntake('turbo-manifold', ['scrolls' => 'two'], SomeIntake::overruled('intake.pairing', 'as you like')))
        ->toContain('"as you like" cannot be read');
});
