<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\Files\FileRefused;
use Almanac\Files\Logo;
use App\Models\Office;
use App\Validation\FieldProblems;
use GdImage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;

/** Takes the logo in that stands on the office's papers, and lets it go. */
final readonly class KeepLogo
{
    /** @throws ValidationException when it is no picture, or too large */
    public function handle(UploadedFile $upload): Office
    {
        $problems = new FieldProblems;
        $picture = $problems->at('file', fn () => $this->drawn($upload));
        $problems->throwIfAny();
        $path = 'logos/'.hash('sha256', (string) $picture).'.png';
        // The content first: the office never points to what is not there.
        Storage::put($path, (string) $picture);

        return $this->put($path);
    }

    public function remove(): Office
    {
        return $this->put(null);
    }

    private function put(?string $path): Office
    {
        $office = Office::current();
        $before = $office->logo_path;
        $office->update(['logo_path' => $path]);
        if ($before !== null && $before !== $path) {
            // Inside the lock again: somebody may have chosen the former one meanwhile.
            DB::afterCommit(
                fn () => DB::transaction(fn () => Office::query()->where('logo_path', $before)->exists() || Storage::delete($before)),
            );
        }

        return $office;
    }

    /**
     * The picture on white, as large as paper needs it: what else the file held is left behind.
     *
     * @throws FileRefused when it is no picture, or too large
     */
    private function drawn(UploadedFile $upload): string
    {
        $path = $upload->getRealPath();
        [$width, $height] = @getimagesize($path) ?: [0, 0];
        $logo = Logo::of((string) (new \finfo(FILEINFO_MIME_TYPE))->file($path), (int) $upload->getSize(), $width, $height);
        $from = @imagecreatefromstring((string) file_get_contents($path));
        if (! $from instanceof GdImage) {
            throw FileRefused::noPicture();
        }
        $to = imagecreatetruecolor($logo->width, $logo->height);
        if (! $to instanceof GdImage) {
            throw FileRefused::noPicture();
        }
        imagefill($to, 0, 0, (int) imagecolorallocate($to, 255, 255, 255));
        imagecopyresampled($to, $from, 0, 0, 0, 0, $logo->width, $logo->height, imagesx($from), imagesy($from));
        ob_start();
        imagepng($to);

        return (string) ob_get_clean();
    }
}
