<?php

declare(strict_types=1);

require __DIR__.'/../vendor/autoload.php';

(function (): void {
    // Tests keep their files to themselves, whoever runs them and however; two runs beside each other, each to itself.
    $storage = dirname(__DIR__).'/storage/'.(getenv('ALMANAC_TEST_STORAGE') ?: 'test');
    foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $folder) {
        if (! is_dir("$storage/$folder")) {
            mkdir("$storage/$folder", recursive: true);
        }
    }
    putenv("LARAVEL_STORAGE_PATH=$storage");
    // The few ZIP codes that tests know: those that ship are made by the build, which may run or be missing meanwhile.
    putenv('ALMANAC_ZIPS='.__DIR__.'/Fixtures/zips');
    // What phpunit.xml says goes before whatever the environment says: two runs would share one database otherwise.
    foreach (
        [
            'APP_ENV',
            'APP_KEY',
            'APP_URL',
            'ALMANAC_TODAY',
            'ALMANAC_ZIPS',
            'BCRYPT_ROUNDS',
            'CACHE_STORE',
            'DB_DATABASE',
            'LARAVEL_STORAGE_PATH',
            'SESSION_DRIVER',
        ] as $name
    ) {
        $value = getenv($name);
        if ($value !== false) {
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
    }
})();
