<?php

declare(strict_types=1);

use UpsweptBead\Core\Tests\Support\Layers;

// The core is the rules of the job: it knows no framework, no console, no database, no clock.
arch('the core depends on nothing but itself')
    ->expect('UpsweptBead\Core')
    ->toOnlyUse(['UpsweptBead\Core', 'DateTimeImmutable', 'Random', 'Closure'])
    ->ignoring(['UpsweptBead\Core\Tests', 'UpsweptBead\Cli']);

arch('strict types everywhere')->expect('UpsweptBead')->toUseStrictTypes();

arch('classes are final')->expect('UpsweptBead\Core')->classes()->toBeFinal()->ignoring(['UpsweptBead\Core\Tests', 'UpsweptBead\Core\Base\Geometry\Solid\KeepOut']);

arch('values do not change')
    ->expect(['UpsweptBead\Core\Base\Units', 'UpsweptBead\Core\Base\Geometry', 'UpsweptBead\Core\Solve\Scan', 'UpsweptBead\Core\Solve\Reach', 'UpsweptBead\Core\Solve\Cool', 'UpsweptBead\Core\Solve\Gas', 'UpsweptBead\Core\Solve\Timing', 'UpsweptBead\Core\Solve\Merge', 'UpsweptBead\Core\Solve\Run', 'UpsweptBead\Core\Solve\Route', 'UpsweptBead\Core\Stage\Plan', 'UpsweptBead\Core\Job',
        'UpsweptBead\Core\Stage\Merge', 'UpsweptBead\Core\Stage\Layout', 'UpsweptBead\Core\Stage\Cut', 'UpsweptBead\Core\Stage\Joint', 'UpsweptBead\Core\Stage\Fit', 'UpsweptBead\Core\Stage\Weld', 'UpsweptBead\Core\Stage\Purge', 'UpsweptBead\Core\Stage\Schedule',
        'UpsweptBead\Core\Stage\Device', 'UpsweptBead\Core\Account\Learning', 'UpsweptBead\Core\Stage\Bench', 'UpsweptBead\Core\Stage\Made', 'UpsweptBead\Core\Stage\Cut', 'UpsweptBead\Core\Account\Ledger', 'UpsweptBead\Core\Stage\Step', 'UpsweptBead\Core\Stage\Intake', 'UpsweptBead\Core\Stage\Survey', 'UpsweptBead\Core\Shop\Stock', 'UpsweptBead\Core\Shop\Practice'])
    ->classes()->toBeReadonly()
    ->ignoring(['UpsweptBead\Core\Base\Units\Exception', 'UpsweptBead\Core\Solve\Route\Search', 'UpsweptBead\Core\Solve\Nest\Search', 'UpsweptBead\Core\Solve\Reach\Search', 'UpsweptBead\Core\Solve\Cool\Internal', 'UpsweptBead\Core\Solve\Gas\Internal', 'UpsweptBead\Core\Solve\Timing\Search', 'UpsweptBead\Core\Stage\Cut\BendPacking', 'UpsweptBead\Core\Stage\Fit\Order\Graph', 'UpsweptBead\Core\Base\Geometry\Mesh', 'UpsweptBead\Core\Base\Geometry\Clearance\Chords', 'UpsweptBead\Core\Stage\Schedule\Internal', 'UpsweptBead\Core\Stage\Purge\Internal\Pipework', 'UpsweptBead\Core\Stage\Purge\Internal\KnownLayouts', 'UpsweptBead\Core\Stage\Weld\Internal', 'UpsweptBead\Core\Shop\Stock\Internal', 'UpsweptBead\Core\Shop\Stock\Exception']);

// Bottom up: each knows only what stands before it.
const LAYERS = [
    'Base/Units', 'Base/Reason', 'Base/Geometry', 'Base/Flatness', 'Base/Document',
    'Shop/Stock', 'Shop/Practice',
    'Solve/Run', 'Solve/Adjust', 'Solve/Scan', 'Solve/Reach', 'Solve/Cool', 'Solve/Gas', 'Solve/Timing', 'Solve/Merge', 'Solve/Route', 'Solve/Nest',
    'Job',
    'Stage/Step', 'Stage/Intake', 'Stage/Survey', 'Stage/Merge', 'Stage/Layout', 'Stage/Cut', 'Stage/Joint', 'Stage/Fit', 'Stage/Purge',
    'Stage/Weld', 'Stage/Schedule', 'Stage/Device', 'Stage/Bench', 'Stage/Made', 'Stage/Plan',
    'Account/Learning', 'Account/Stores', 'Account/Ledger', 'Account/Quote',
    'Exchange/Drawing', 'Exchange/Files', 'Exchange/Screens',
];

it('is built in layers, each knowing only those before it', function () {
    $folder = dirname(__DIR__).'/src';
    $rooms = array_unique(array_map(static fn (string $one): string => explode('/', $one)[0], LAYERS));
    $inside = array_merge(...array_map(
        static fn (string $room): array => array_map(
            static fn (string $one): string => $room === 'Job' ? $room : "$room/".basename($one),
            $room === 'Job' ? [$room] : (array) glob("$folder/$room/*"),
        ),
        $rooms,
    ));
    expect(array_map(basename(...), (array) glob("$folder/*", GLOB_ONLYDIR)))->toEqualCanonicalizing(array_values($rooms))
        ->and($inside)->toEqualCanonicalizing(LAYERS)
        ->and(Layers::upwards($folder, 'UpsweptBead\Core', LAYERS))->toBe([]);
});

it('asks what a torch gets to before it orders the build, and not the other way round', function () {
    $folder = dirname(__DIR__).'/src/Stage/Fit';
    expect(Layers::upwards($folder, 'UpsweptBead\Core\Stage\Fit', ['Access', 'Order']))->toBe([])
        ->and(Layers::upwards($folder, 'UpsweptBead\Core\Stage\Fit', ['Order', 'Access']))->not->toBe([]);
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
