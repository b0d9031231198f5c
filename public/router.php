<?php

declare(strict_types=1);

/*
 * For PHP's own server: built files are sent as they are, everything else by the application.
 */

header_remove('X-Powered-By');
$path = parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$types = [
    'js' => 'text/javascript',
    'css' => 'text/css',
    'woff2' => 'font/woff2',
    'json' => 'application/json',
    'txt' => 'text/plain',
    'svg' => 'image/svg+xml',
];
if (
    is_string($path) &&
    preg_match('~^/build/[\w./-]+\.(\w+)$~', $path, $part) === 1 &&
    ! str_contains($path, '..') &&
    isset($types[$part[1]]) &&
    is_file(__DIR__.$path)
) {
    $file = __DIR__.$path;
    header('Content-Type: '.$types[$part[1]].'; charset=utf-8');
    header('X-Content-Type-Options: nosniff');
    header('Cross-Origin-Resource-Policy: same-origin');
    header('Vary: Accept-Encoding');
    // Their names change with their content.
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    $accepted = array_map(trim(...), explode(',', strtolower((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''))));
    foreach (['br' => '.br', 'gzip' => '.gz'] as $encoding => $ending) {
        if (in_array($encoding, $accepted, true) && is_file($file.$ending)) {
            header("Content-Encoding: $encoding");
            $file .= $ending;
            break;
        }
    }
    $tag = '"'.dechex((int) filemtime($file)).'-'.dechex((int) filesize($file)).'"';
    header("ETag: $tag");
    if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
        http_response_code(304);

        return true;
    }
    header('Content-Length: '.filesize($file));
    readfile($file);

    return true;
}

require __DIR__.'/index.php';
