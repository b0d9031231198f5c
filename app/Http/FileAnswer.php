<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What leaves the application as a file. */
final class FileAnswer
{
    public static function answer(string $content, string $name, string $type): Response
    {
        return new Response($content, 200, self::headers($name, $type));
    }

    /** @param  string  $path  of a file on this machine, which stays */
    public static function kept(string $path, string $name, string $type): BinaryFileResponse
    {
        return new BinaryFileResponse($path, 200, self::headers($name, $type), false);
    }

    /** @param  iterable<string>  $content  piece by piece, as it is made */
    public static function stream(iterable $content, string $name, string $type): StreamedResponse
    {
        return new StreamedResponse(function () use ($content): void {
            foreach ($content as $piece) {
                echo $piece;
                flush();
            }
        }, 200, self::headers($name, $type));
    }

    /** @return array<string, string> */
    private static function headers(string $name, string $type): array
    {
        return ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^\w.\-]+/', '-', $name).'"'];
    }
}
