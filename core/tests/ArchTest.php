<?php

declare(strict_types=1);

use UpsweptBead\Core\Tests\Support\Layers;

// The core is the rules of the job: it knows no framework, no console, no database, no clock.
arch('the core depends on nothing but itself')
    ->expect('UpsweptBead\Core')
    ->toOnlyUse(['UpsweptBead\Core', 'DateTimeImmutable', 'Random', 'Closure'])
    ->ignoring(['UpsweptBead\Core\Tests', 'UpsweptBead\Cli']);

arch('strict types everywhere')->expect('UpsweptBead')->toUseStrictTypes();

arch('classes are final')->expect('UpsweptBead\Core')->classes()->toBeFinal()->ignoring(['UpsweptBead\Core\Tests', 'UpsweptBead\Core\Geometry\Solid\KeepOut']);

arch('values do not change')
    ->expect(['UpsweptBead\Core\Units', 'UpsweptBead\Core\Geometry', 'UpsweptBead\Core\Reach', 'UpsweptBead\Core\Cool', 'UpsweptBead\Core\Gas', 'UpsweptBead\Core\Timing', 'UpsweptBead\Core\Merge', 'UpsweptBead\Core\Run', 'UpsweptBead\Core\Route', 'UpsweptBead\Core\Plan', 'UpsweptBead\Core\Job',
        'UpsweptBead\Core\Branching', 'UpsweptBead\Core\Layout', 'UpsweptBead\Core\Cut', 'UpsweptBead\Core\Joint', 'UpsweptBead\Core\Fit', 'UpsweptBead\Core\Weld', 'UpsweptBead\Core\Purge', 'UpsweptBead\Core\Schedule',
        'UpsweptBead\Core\Device', 'UpsweptBead\Core\Learning', 'UpsweptBead\Core\Bench', 'UpsweptBead\Core\Cost', 'UpsweptBead\Core\Account', 'UpsweptBead\Core\Step', 'UpsweptBead\Core\Survey', 'UpsweptBead\Core\Stock', 'UpsweptBead\Core\Shop'])
    ->classes()->toBeReadonly()
    ->ignoring(['UpsweptBead\Core\Units\Exception', 'UpsweptBead\Core\Route\Search', 'UpsweptBead\Core\Cut\Search', 'UpsweptBead\Core\Reach\Search', 'UpsweptBead\Core\Cool\Internal', 'UpsweptBead\Core\Gas\Internal', 'UpsweptBead\Core\Timing\Search', 'UpsweptBead\Core\Cut\BendPacking', 'UpsweptBead\Core\Fit\Order\Graph', 'UpsweptBead\Core\Geometry\Mesh', 'UpsweptBead\Core\Geometry\Clearance\Chords', 'UpsweptBead\Core\Schedule\Internal', 'UpsweptBead\Core\Purge\Internal\Pipework', 'UpsweptBead\Core\Purge\Internal\LaidOut', 'UpsweptBead\Core\Weld\Internal', 'UpsweptBead\Core\Stock\Internal', 'UpsweptBead\Core\Stock\Exception']);

// Bottom up: each knows only what stands before it.
const LAYERS = [
    'Units', 'Reason', 'Geometry', 'Flatness', 'Document', 'Reach', 'Cool', 'Gas', 'Timing', 'Merge', 'Learning', 'Stock', 'Run', 'Step', 'Shop', 'Job', 'Route', 'Survey', 'Branching', 'Layout', 'Cut', 'Joint',
    'Fit', 'Purge', 'Weld', 'Schedule', 'Device', 'Bench', 'Cost', 'Plan', 'Stores', 'Account', 'Quote', 'Exchange',
];

it('is built in layers, each knowing only those before it', function () {
    $folder = dirname(__DIR__).'/src';
    expect(array_map(basename(...), (array) glob("$folder/*", GLOB_ONLYDIR)))->toEqualCanonicalizing(LAYERS)
        ->and(Layers::upwards($folder, 'UpsweptBead\Core', LAYERS))->toBe([]);
});

it('reaches into no Internal folder from outside of the one it lies in', function () {
    expect(Layers::reachedInto(dirname(__DIR__).'/src', 'UpsweptBead\Core'))->toBe([]);
});

it('sees a layer however it is named', function (string $line) {
    $code = "<?php\n\nnamespace UpsweptBead\\Core\\Low;\n\n$line\n";
    expect(Layers::layers($code, 'UpsweptBead\Core'))->toContain('High');
})->with([
    'use UpsweptBead\Core\High\Thing;',
    'use UpsweptBead\Core\{High\Thing, Low\Other};',
    'use UpsweptBead\Core\High;',
    'use UpsweptBead\Core\High as Above;',
    'use UpsweptBead\Core as Here; $thing = new Here\High\Thing;',
    'use \UpsweptBead\Core\High\{Thing as Other};',
    '$thing = new \UpsweptBead\Core\High\Thing;',
    'function one(): ?\UpsweptBead\Core\High\Thing {}',
]);

it('takes no trait and no closure for an import, and no word in a comment', function () {
    $code = "<?php\nnamespace UpsweptBead\\Core\\Low;\n// UpsweptBead\\Core\\High\\Thing\nclass One { use Two; function three() { return function () use (\$four) {}; } }";
    expect(Layers::layers($code, 'UpsweptBead\Core'))->toBe([]);
});

it('would notice a layer that looks up', function () {
    expect(Layers::upwards(dirname(__DIR__).'/src', 'UpsweptBead\Core', array_reverse(LAYERS)))->not->toBe([]);
});

it('is tested without a framework in its autoloader', function () {
    expect(class_exists('Illuminate\Foundation\Application'))->toBeFalse();
});

it('takes no time, chance or file but from its readers', function () {
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__).'/src')) as $file) {
        if ($file instanceof SplFileInfo && $file->getExtension() === 'php' && $file->getFilename() !== 'ShippedTable.php') {
            $code = (string) file_get_contents($file->getPathname());
            if (preg_match('/\b(time|microtime|date|rand|mt_rand|random_int|file_get_contents|fopen|getenv|new \\\\?DateTimeImmutable)\s*\(/', $code, $match) === 1) {
                $found[] = $file->getFilename().': '.$match[0];
            }
        }
    }
    expect($found)->toBe([]);
});

it('has lines of at most 120 columns, but for a sentence or a type that cannot be broken', function () {
    $found = [];
    foreach (Layers::files(dirname(__DIR__).'/src') as $file) {
        foreach (explode("\n", (string) file_get_contents($file)) as $i => $line) {
            $isWhole = preg_match('/^\s*\/?\*|[\'"][^\'"]{60,}[\'"]|[^\x00-\x7F]/u', $line) === 1;
            if (mb_strlen($line) > 120 && ! $isWhole) {
                $found[] = basename($file).':'.($i + 1);
            }
        }
    }
    expect($found)->toBe([]);
});
