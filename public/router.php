<?php

declare(strict_types=1);

/*
 * For PHP's own server: built files are served as they are, everything else by the application.
 */
$path = parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);

if (is_string($path) && preg_match('~^/build/[\w./-]+$~', $path) === 1 && ! str_contains($path, '..') && is_file(__DIR__.$path)) {
    return false;
}

require __DIR__.'/index.php';
