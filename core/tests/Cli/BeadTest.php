<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeSchedules;

/** @return array{int, string, string} exit code, output, errors */
function bead(string ...$arguments): array
{
    $process = proc_open(
        [dirname(__DIR__, 3).'/bead', ...$arguments],
        [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
        $pipes,
    );
    [$output, $errors] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

    return [proc_close($process), $output, $errors];
}

function jobFile(string $text): string
{
    $file = tempnam(sys_get_temp_dir(), 'bead');
    file_put_contents($file, $text);
    register_shutdown_function(static fn () => @unlink($file));

    return $file;
}

it('exits 0 for a job without problems, 1 with problems and their places, 2 for unusable input', function () {
    $good = jobFile(JobWriter::toJson(Some::routedJob()));
    expect(bead('check', $good)[0])->toBe(0);
    [$code, $output] = bead('check', jobFile(Some::exampleJson()));
    expect($code)->toBe(1)->and($output)->toContain('runs[0].route: Run A has no route yet');
    [$code, , $errors] = bead('check', jobFile(str_replace('3/8 in', '3/8 in thick', Some::exampleJson())));
    expect($code)->toBe(1)->and($errors)->toContain('runs[0].end.wall:');
    expect(bead('check', jobFile('{"format"'))[0])->toBe(2)
        ->and(bead('plan', '/no/such/file')[0])->toBe(2)
        ->and(bead('check', $good, '--shop', jobFile('{}'))[0])->toBe(2);
});

it('prints the whole plan as tables or as JSON', function () {
    $file = jobFile(JobWriter::toJson(Some::routedJob()));
    [$code, $tables] = bead('plan', $file);
    expect($code)->toBe(0)->and($tables)->toContain('ER308L')->toContain('AJ5')->toContain('Argon: torch');
    $plan = json_decode(bead('plan', $file, '--json')[1], true);
    expect($plan['weld']['sheets'])->toHaveCount(5)
        ->and($plan['runs'][0]['farEnd']['closed'])->toBeTrue();
});

it('answers a cut problem as JSON or as a table', function () {
    $file = dirname(__DIR__).'/problems/cut/01-absorb.json';
    [$code, $output] = bead('cut', '--problem', $file, '--json');
    $answer = json_decode($output, true);
    expect($code)->toBe(0)
        ->and($answer['format'])->toBe('cut-answer/1')
        ->and($answer['case'])->toBe('01-absorb')
        ->and($answer['totals'])->toBe(['joints' => 0, 'cuts' => 2, 'opened' => ['b90' => 1], 'cost' => 24])
        ->and($answer['lower_bound'])->toBe(24);
    expect(bead('cut', '--problem', $file)[1])->toContain('Cost 24.00')->toContain('b90');
});

it('refuses a cut problem with every fault at its field', function () {
    $text = (string) file_get_contents(dirname(__DIR__).'/problems/cut/01-absorb.json');
    $refused = static function (string $text): array {
        [$code, $output] = bead('cut', '--problem', jobFile($text), '--json');
        expect($code)->toBe(1);

        return json_decode($output, true);
    };
    $wrong = $refused(str_replace(['"kerf": 2', '"straight": 95'], ['"kerf": -2', '"straight": 1e999'], $text));
    expect($wrong['status'])->toBe('refused')
        ->and($wrong['case'])->toBe('01-absorb')
        ->and(array_column($wrong['reasons'], 'field'))->toEqualCanonicalizing(['rules.kerf', 'runs[0].elements[2].straight']);
    $tooMuch = $refused(str_replace('"bend": 90', '"bend": 100', $text));
    expect($tooMuch['reasons'][0]['field'])->toBe('runs[0].elements[1].bend')->and($tooMuch['reasons'][0]['by'])->toBe(10);
    expect($refused('{"format": ')['reasons'][0]['field'])->toBe('');
    expect(bead('cut', '--problem', jobFile($text), '--seconds', 'soon')[0])->toBe(2);
});

it('wants to be told how long it may look for an order in numbers', function (string ...$options) {
    $problem = jobFile(json_encode(SomeSchedules::shipped('s02-downpipe-five'), JSON_THROW_ON_ERROR));
    expect(bead('schedule', '--problem', $problem, ...$options))->toBe([
        2,
        '',
        "--seconds takes a number from 0 to 3600, --seed a whole number.\n",
    ]);
})->with([['--seconds', 'soon'], ['--seconds=-1'], ['--seconds', '3601'], ['--seed', '1.5']]);

it('finds ways for the runs that have none, and an honest no', function () {
    $answers = json_decode(bead('route', jobFile(Some::exampleJson()), '--json')[1], true);
    expect($answers['A']['found'])->toBeGreaterThan(10)
        ->and($answers['A']['answers'][0]['joints'])->toBe(4);
    expect(bead('route', jobFile(JobWriter::toJson(Some::routedJob())))[2])->toContain(
        'Every run of this job has a route',
    );
    [$code, $output] = bead(
        'route',
        jobFile(str_replace(['21 1/2 in', '13 1/4 in', '-17 in'], ['3 in', '3 in', '-1 in'], Some::exampleJson())),
    );
    expect($code)->toBe(1)->and($output)->toContain('no way with two bends from stock')->toContain('too short');
});

it('answers a merge problem, and names the field of one it refuses', function () {
    $folder = dirname(__DIR__).'/problems/merge';
    [$code, $output] = bead('merge', '--problem', "$folder/03-straight-4.json", '--json');
    $answer = json_decode($output, true);
    expect($code)->toBe(0)
        ->and([$answer['format'], $answer['case'], $answer['status']])->toBe(['merge-solution/1', '03-straight-4', 'solved'])
        ->and($answer['outlet']['plane'])->toBeClose(128.81339, 0, 1e-4);
    [$code, $output] = bead('merge', '--problem', "$folder/31-no-overlap-straight.json", '--json');
    expect($code)->toBe(1)
        ->and(json_decode($output, true)['reasons'][0]['what'])->toBe('tubes-overlap');
    $broken = str_replace('"wall": 1.65', '"wall": -1', (string) file_get_contents("$folder/16-saddle-60-offset.json"));
    expect(json_decode(bead('merge', '--problem', jobFile($broken), '--json')[1], true)['reasons'])
        ->toBe([['what' => 'invalid', 'field' => 'main.wall', 'by' => null]]);
    expect(json_decode(bead('merge', '--problem', jobFile('{'), '--json')[1], true)['reasons'][0]['field'])->toBe('')
        ->and(bead('merge')[0])->toBe(2);
});

it('answers a reach problem, and names the field and the value of one it refuses', function () {
    $folder = dirname(__DIR__).'/problems/reach';
    [$code, $output] = bead('reach', '--problem', "$folder/r04-flange-fillet.json", '--json');
    $answer = json_decode($output, true);
    expect($code)->toBe(0)
        ->and([$answer['format'], $answer['case'], $answer['status'], count($answer['cups'])])->toBe(['reach-answer/1', 'r04-flange-fillet', 'solved', 4]);
    [$code, $output] = bead('reach', '--problem', "$folder/r10-one-block-hides-all.json", '--json');
    expect($code)->toBe(1)->and(json_decode($output, true)['reasons'][0]['by'])->toBe('heat-sink');
    $broken = str_replace('"radius": 22.2', '"radius": -22.2', (string) file_get_contents("$folder/r10-one-block-hides-all.json"));
    $reason = json_decode(bead('reach', '--problem', jobFile($broken), '--json')[1], true)['reasons'][0];
    expect([$reason['field'], $reason['by']])->toBe(['seam.radius', -22.2]);
    expect(json_decode(bead('reach', '--problem', jobFile('{'), '--json')[1], true)['reasons'][0]['field'])->toBe('')
        ->and(bead('reach')[0])->toBe(2);
});

it('writes a wrap template, and nothing where there is none', function () {
    $folder = dirname(__DIR__).'/problems/merge';
    $output = tempnam(sys_get_temp_dir(), 'bead');
    unlink($output);
    $template = static fn (string $problem, string $tube, string $format = 'svg'): array => bead(
        'template', '--problem', $problem, '--tube', $tube, '--format', $format, '--output', $output,
    );
    foreach ([["$folder/10-bent-4-run-on.json", 'A'], ["$folder/03-straight-4.json", 'Z'], ["$folder/31-no-overlap-straight.json", 'A'], [jobFile('{'), 'A']] as [$problem, $tube]) {
        [$code, , $errors] = $template($problem, $tube);
        expect($code)->toBe(1)->and($errors)->not->toBe('')->and(is_file($output))->toBeFalse();
    }
    expect(bead('template', '--problem', "$folder/03-straight-4.json", '--tube', 'A', '--format', 'pdf', '--paper', 'a5', '--output', $output)[0])->toBe(2)
        ->and($template("$folder/03-straight-4.json", 'A', 'png')[0])->toBe(2)
        ->and($template("$folder/03-straight-4.json", 'A', 'pdf')[0])->toBe(0)
        ->and((string) file_get_contents($output))->toStartWith('%PDF-1.4')
        ->and(bead('template', '--problem', "$folder/03-straight-4.json", '--tube', 'A', '--output', '/no/such/folder/t.svg')[0])->toBe(2);
    unlink($output);
});
