<?php

declare(strict_types=1);

namespace App\Actions\Files;

use App\Models\File;
use App\Models\Job;
use App\Models\LetterRun;
use App\Models\Message;
use App\Models\Office;
use Illuminate\Support\Facades\Storage;

/** Takes away contents that no record has: what a stopped server left behind between storing a file and recording it. */
final class SweepFiles
{
    private const FOLDERS = ['files', 'logos', 'jobs', 'outbox', 'letters'];

    /** Whatever is younger may still be on its way. */
    private const SECONDS = 86_400;

    /** @return int how many were taken away */
    public function handle(): int
    {
        $swept = 0;
        foreach (array_merge(...array_map(Storage::allFiles(...), self::FOLDERS)) as $path) {
            if (time() - Storage::lastModified($path) > self::SECONDS && ! $this->isUsed($path)) {
                Storage::delete($path);
                $swept++;
            }
        }

        Job::query()->where('created_at', '<', now()->subSeconds(self::SECONDS))->delete();

        return $swept;
    }

    private function isUsed(string $path): bool
    {
        return match (explode('/', $path)[0]) {
            'outbox' => Message::query()->where('path', $path)->exists(),
            'logos' => Office::query()->where('logo_path', $path)->exists(),
            'letters' => LetterRun::query()->where('path', $path)->exists(),
            // Whatever was made behind the screen is kept for a day.
            'jobs' => false,
            default => File::query()->where('sha256', str_replace(['files/', '/'], '', $path))->exists(),
        };
    }
}
