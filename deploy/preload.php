<?php

declare(strict_types=1);

use Illuminate\Support\Traits\ReflectsClosures;

/*
 * Loads the program into php-fpm when it starts: its own classes, and what they stand on.
 */
$root = dirname(__DIR__);
require "$root/vendor/autoload.php";
// A function that is always loaded uses it.
trait_exists(ReflectsClosures::class);
foreach (['App' => 'app', 'Almanac' => 'core'] as $namespace => $folder) {
    /** @var SplFileInfo $file */
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder", FilesystemIterator::SKIP_DOTS)) as $file) {
        $path = substr($file->getPathname(), strlen("$root/$folder/"), -4);
        // Commands are not run by requests.
        if ($file->getExtension() === 'php' && ! str_starts_with($path, 'Console/')) {
            class_exists($namespace.'\\'.str_replace('/', '\\', $path));
        }
    }
}
