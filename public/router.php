<?php

declare(strict_types=1);

/*
 * For PHP's own server: built files are sent as they are, everything else by the application.
 */

header_remove('X-Powered-By');
$path = parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'json' => 'application/json', 'txt' => 'text/plain', 'svg' => 'image/svg+xml'];
if (is_string($path) && preg_match('~^/build/[\w./-]+\.(\w+)$~', $path, $part) === 1 && ! str_contains($path, '..') && isset($types[$part[1]]) && is_file(__DIR__.$path)) {
    header('Content-Type: '.$types[$part[1]].'; charset=utf-8');
    header('X-Content-Type-Options: nosniff');
    header('Cross-Origin-Resource-Policy: same-origin');
    // Their names change with their content.
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    header('Content-Length: '.filesize(__DIR__.$path));
    readfile(__DIR__.$path);

    return true;
}

require __DIR__.'/index.php';
