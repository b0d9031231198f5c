<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;

/** What leaves the application as a file. */
final class FileAnswer
{
    public static function answer(string $content, string $name, string $type): Response
    {
        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^\w.\-]+/', '-', $name).'"',
        ]);
    }
}
