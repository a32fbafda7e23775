<?php

declare(strict_types=1);

// The core, loaded once when the web workers start instead of class by class with every request.
$core = new RecursiveDirectoryIterator(dirname(__DIR__).'/core/src', FilesystemIterator::SKIP_DOTS);
foreach (new RecursiveIteratorIterator($core) as $file) {
    if ($file->getExtension() === 'php') {
        opcache_compile_file($file->getPathname());
    }
}
