<?php

declare(strict_types=1);

// The core is the rules of the job: it knows no framework, no console, no database, no clock.
arch('the core depends on nothing but itself')
    ->expect('UpsweptBead\Core')
    ->toOnlyUse(['UpsweptBead\Core', 'DateTimeImmutable', 'Random', 'Closure'])
    ->ignoring(['UpsweptBead\Core\Tests', 'UpsweptBead\Cli']);

arch('strict types everywhere')->expect('UpsweptBead')->toUseStrictTypes();

arch('classes are final')->expect('UpsweptBead\Core')->classes()->toBeFinal()->ignoring(['UpsweptBead\Core\Tests', 'UpsweptBead\Core\Route\Problem\KeepOut']);

arch('values do not change')
    ->expect(['UpsweptBead\Core\Units', 'UpsweptBead\Core\Geometry', 'UpsweptBead\Core\Run', 'UpsweptBead\Core\Route', 'UpsweptBead\Core\Plan', 'UpsweptBead\Core\Job'])
    ->classes()->toBeReadonly()
    ->ignoring(['UpsweptBead\Core\Units\Exception', 'UpsweptBead\Core\Route\Internal\Cones', 'UpsweptBead\Core\Route\Search', 'UpsweptBead\Core\Geometry\Mesh']);

// No stage calls a later one.
foreach ([
    'Units' => ['Geometry', 'Stock', 'Run', 'Route', 'Cut', 'Fit', 'Weld', 'Purge', 'Plan', 'Job', 'Bench', 'Shop'],
    'Run' => ['Route', 'Cut', 'Fit', 'Weld', 'Purge', 'Plan', 'Job', 'Bench', 'Shop'],
    'Route' => ['Cut', 'Fit', 'Weld', 'Purge', 'Plan', 'Job', 'Bench', 'Shop'],
    'Cut' => ['Fit', 'Weld', 'Purge', 'Plan', 'Bench'],
    'Weld' => ['Plan', 'Bench', 'Job'],
    'Job' => ['Survey', 'Plan', 'Bench', 'Cut', 'Weld', 'Purge'],
    'Survey' => ['Plan', 'Bench', 'Cut', 'Weld', 'Purge'],
] as $stage => $later) {
    arch("$stage does not look ahead")
        ->expect("UpsweptBead\\Core\\$stage")
        ->not->toUse(array_map(static fn (string $name): string => "UpsweptBead\\Core\\$name", $later));
}

it('is tested without a framework in its autoloader', function () {
    expect(class_exists('Illuminate\Foundation\Application'))->toBeFalse();
});

it('takes no time, chance or file but from its readers', function () {
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__).'/src')) as $file) {
        if ($file instanceof SplFileInfo && $file->getExtension() === 'php' && ! str_ends_with($file->getPath(), 'Stock/Internal')) {
            $code = (string) file_get_contents($file->getPathname());
            if (preg_match('/\b(time|microtime|date|rand|mt_rand|random_int|file_get_contents|fopen|getenv|new \\\\?DateTimeImmutable)\s*\(/', $code, $match) === 1) {
                $found[] = $file->getFilename().': '.$match[0];
            }
        }
    }
    expect($found)->toBe([]);
});
