<?php

declare(strict_types=1);

// Who asks to stay signed in is asked again after a month at the latest.
return [
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users', 'remember' => 60 * 24 * 30]],
];
