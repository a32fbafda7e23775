<?php

declare(strict_types=1);

use UpsweptBead\Core\Stage\Step\Clock;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Step\Work;

it('names a step by what is done, to what, and in which round', function () {
    expect(StepKind::Weld->key('AB1'))->toBe('weld.AB1')
        ->and(StepKind::Weld->key('AB1', 2))->toBe('weld.AB1.2')
        ->and(StepKind::keys('AB1', StepKind::Purge, StepKind::Weld))->toBe(['purge.AB1', 'weld.AB1']);
});

it('says each in words, for a step that no plan has any more', function () {
    expect(StepKind::Weld->words('AB1', 1))->toBe('Weld AB1')
        ->and(StepKind::CutOut->words('AB1', 3))->toBe('Cut out AB1, round 3');
});

it('has a name and a caution for every kind, and no two keys alike', function () {
    foreach (StepKind::cases() as $kind) {
        expect($kind->label())->not->toBe('')->and($kind->caution())->not->toBe('');
    }
    $keys = array_map(static fn (StepKind $one): string => $one->key('A1'), StepKind::cases());
    expect(array_unique($keys))->toHaveCount(count($keys));
});

it('warns of the blade at the saw and not where a flange is bolted down', function () {
    expect(StepKind::Prepare->caution())->toContain('saw')
        ->and(StepKind::Bolt->caution())->not->toContain('saw')->toContain('poison')
        ->and(StepKind::Purge->caution())->toContain('suffocates');
});

it('counts argon down, an arc up, and cooling from the weld on', function () {
    expect(StepKind::Purge->clock())->toBe(Clock::Down)
        ->and(StepKind::Weld->clock())->toBe(Clock::Up)
        ->and(StepKind::Side->clock())->toBe(Clock::Up)
        ->and(StepKind::Warm->clock())->toBe(Clock::SinceWeld)
        ->and(StepKind::Tack->clock())->toBeNull();
});

it('waits for stock only where stock is cut', function () {
    $kinds = array_filter(StepKind::cases(), static fn (StepKind $one): bool => $one->takesStock());
    expect(array_values($kinds))->toBe([StepKind::Check, StepKind::Prepare, StepKind::Outlet])
        ->and(StepKind::Polish->work())->toBe(Work::Prepare);
});
