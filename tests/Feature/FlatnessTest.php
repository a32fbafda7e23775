<?php

declare(strict_types=1);

use App\Models\Role;

beforeEach(fn () => $this->signIn(Role::Fabricator));

/** @return array<string, string> by the clock from 12 */
function heights(string ...$mm): array
{
    return array_combine(['at12', 'at2', 'at4', 'at6', 'at8', 'at10'], array_map(static fn (string $one): string => "$one mm", array_values($mm)));
}

it('maps a face while it is measured: what stands out, what comes off', function () {
    $job = $this->released();
    $map = fn (array $readings) => $this->postJson("/jobs/$job->id/flatness", ['step' => 'face.A.end', 'units' => 'metric', 'readings' => $readings]);
    $map(['at12' => '0', 'at4' => '0.3'])->assertOk()->assertJsonPath('flat', null);
    $map(heights('0.02', '0', '0', '0.02', '0', '0'))->assertOk()->assertJsonPath('flat', true);
    $map(heights('0.3', '0', '0', '0.3', '0', '0'))->assertOk()
        ->assertJsonPath('flat', false)
        ->assertJsonPath('points.0.high', '0.30 mm')
        ->assertJsonPath('points.0.down', '0.20 mm');
    $map(['at12' => 'flat'])->assertUnprocessable()->assertJsonPath('errors', fn (array $errors): bool => isset($errors['readings.at12']));
    $this->postJson("/jobs/$job->id/flatness", ['step' => 'weld.AJ2'])->assertNotFound();
});

it('takes no face that is not flat, or hardly measured, without a reason; the record keeps it', function () {
    $job = $this->released();
    $face = fn (array $readings, string $why = '') => [...$this->entry('face.A.end', $readings), 'units' => 'metric', 'why' => $why];
    $bowed = heights('0.3', '0', '0', '0.3', '0', '0');
    $this->log($job, $face(['at12' => '0 mm']))->assertJsonPath('results.0.reason', fn (string $says): bool => str_contains($says, 'Fewer than 4 points'));
    $this->log($job, $face($bowed))->assertJsonPath('results.0.reason', fn (string $says): bool => str_contains($says, 'Out of flat: 0.30 mm, at most 0.10 mm.'));
    $says = $this->log($job, $face($bowed, 'Goes to be faced.'))->assertJsonPath('results.0.state', 'stored')->json('progress.deviations');
    expect(array_column($says, 'what'))->toContain('Went on anyway: Goes to be faced.')
        ->and(implode(' ', array_column($says, 'what')))->toContain('Out of flat');
});
