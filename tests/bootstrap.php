<?php

declare(strict_types=1);

require __DIR__.'/../vendor/autoload.php';

// Tests keep their files to themselves, whoever runs them and however.
$storage = dirname(__DIR__).'/storage/test';
foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $folder) {
    if (! is_dir("$storage/$folder")) {
        mkdir("$storage/$folder", recursive: true);
    }
}
$_ENV['LARAVEL_STORAGE_PATH'] = $_SERVER['LARAVEL_STORAGE_PATH'] = $storage;
putenv("LARAVEL_STORAGE_PATH=$storage");
