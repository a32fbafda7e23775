<?php

declare(strict_types=1);

use App\Models\Job;
use Illuminate\Testing\TestResponse;

/** @param  array<string, mixed>  $change */
function watched(Job $job, array $change = []): TestResponse
{
    return test()->getJson("/jobs/$job->id/devices?".http_build_query([
        'step' => 'purge.AJ2', 'from' => 0, 'to' => 30, 'leak' => 'tight', 'share' => 1, 'run' => 'a', 'units' => 'inch', ...$change,
    ]));
}

beforeEach(fn () => $this->signIn());

it('reads the stand-ins of a step, the same again for the same run', function () {
    $job = $this->released();
    $first = watched($job)->assertOk()->assertJsonPath('devices.0.name', 'oxygen')->json('devices');
    expect($first[0]['values'])->toHaveCount(31)
        ->and($first[0]['values'][0])->toBeGreaterThan(150000)
        ->and(end($first[0]['values']))->toBeLessThan(100000)
        ->and($first[0]['text'])->toEndWith(' ppm')
        ->and(watched($job)->json('devices'))->toBe($first)
        ->and(watched($job, ['run' => 'b'])->json('devices'))->not->toBe($first);
    $poor = watched($job, ['leak' => 'open', 'from' => 900, 'to' => 900])->json('devices.0.values.0');
    expect($poor)->toBeGreaterThan(1000);
});

it('has instruments for the arc and for cooling, and none for the saw', function () {
    $job = $this->released();
    expect(array_column(watched($job, ['step' => 'weld.AJ2'])->json('devices'), 'name'))->toContain('amps', 'volts', 'flow')
        ->and(watched($job, ['step' => 'cool.AJ2'])->json('devices.0.name'))->toBe('temperature');
    watched($job, ['step' => 'prepare.A1'])->assertNotFound();
    watched($job, ['step' => 'weld.ZZ9'])->assertNotFound();
});

it('names what it does not take', function (array $change, string $field) {
    watched($this->released(), $change)->assertUnprocessable()->assertJsonValidationErrorFor($field);
})->with([
    [['to' => 4000], 'to'],
    [['from' => -1], 'from'],
    [['leak' => 'sieve'], 'leak'],
    [['share' => 50], 'share'],
    [['units' => 'cubits'], 'units'],
]);

it('keeps what was recorded with the step, and gives it back as a table', function () {
    $job = $this->released();
    $trace = ['device' => 'oxygen', 'every' => 2, 'values' => [209500, 1200.5, 80], 'simulated' => true];
    $this->log($job, [...$this->entry('purge.AJ2', ['oxygen' => '80']), 'traces' => [$trace]])
        ->assertJsonPath('results.0.state', 'stored');
    $this->anotherRequest();
    $this->getJson("/jobs/$job->id/traces")->assertOk()->assertJsonPath('traces.0.step', 'purge.AJ2')
        ->assertJsonPath('traces.0.devices.0.values', [209500, 1200.5, 80]);
    $table = $this->get("/jobs/$job->id/traces.csv")->assertOk()->streamedContent();
    expect($table)->toContain('purge.AJ2')->toContain('oxygen')->toContain('1200.5');
});

it('refuses a trace that is none', function (array $trace, string $field) {
    $whole = ['device' => 'oxygen', 'every' => 2, 'values' => [1], 'simulated' => true];
    $entry = [...$this->entry('purge.AJ2', ['oxygen' => '80']), 'traces' => [[...$whole, ...$trace]]];
    $this->log($this->released(), $entry)->assertJsonPath('results.0.field', $field);
})->with([
    [['every' => 0], 'traces[0].every'],
    [['values' => ['high']], 'traces[0].values[0]'],
    [['values' => array_fill(0, 1201, 1)], 'traces[0].values'],
    [['device' => ''], 'traces[0].device'],
]);
