<?php

declare(strict_types=1);

namespace App\Actions\Files;

use App\Models\File;
use Illuminate\Support\Facades\Storage;

/** Takes away contents that no record has: what a stopped server left behind between storing a file and recording it. */
final class SweepFiles
{
    /** Whatever is younger may still be on its way. */
    private const SECONDS = 86_400;

    /** @return int how many were taken away */
    public function handle(): int
    {
        $swept = 0;
        foreach (Storage::allFiles('files') as $path) {
            $sha256 = str_replace(['files/', '/'], '', $path);
            if (time() - Storage::lastModified($path) > self::SECONDS && ! File::query()->where('sha256', $sha256)->exists()) {
                Storage::delete($path);
                $swept++;
            }
        }

        return $swept;
    }
}
