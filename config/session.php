<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'table' => 'sessions',
    'lifetime' => 60 * 24 * 14,
    'expire_on_close' => false,
    'encrypt' => false,
    'lottery' => [2, 100],
    'cookie' => 'bead_session',
    'path' => '/',
    // Wherever the page comes by TLS.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
];
