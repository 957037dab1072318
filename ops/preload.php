<?php

declare(strict_types=1);

/*
 * Loads the core before the first request, so that no request loads its hundreds of small files one by one. For
 * opcache.preload; like all code, it is read anew only when the server starts.
 */

require __DIR__.'/../vendor/autoload.php';

/** @var iterable<SplFileInfo> $files */
$files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../core/src', FilesystemIterator::SKIP_DOTS));
foreach ($files as $file) {
    if ($file->getExtension() === 'php') {
        require_once $file->getPathname();
    }
}
