<?php

declare(strict_types=1);

// Nothing is served from a disk, nor put on one, by its path.
return [
    'default' => 'local',
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true],
    ],
];
