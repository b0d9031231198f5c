<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What leaves the application as a file. */
final class FileAnswer
{
    public static function answer(string $content, string $name, string $type): Response
    {
        return new Response($content, 200, self::headers($name, $type));
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
