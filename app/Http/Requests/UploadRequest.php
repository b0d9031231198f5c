<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Http\UploadedFile;

/** A request that brings one file. */
abstract class UploadRequest extends ShapedRequest
{
    /** Kilobytes. */
    protected const MOST = 25_600;

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.file' => 'Choose a file.',
            'file.max' => 'That file is too large: at most 25 MB fit.',
            'file.uploaded' => 'That file is too large, or did not arrive whole. Try again.',
        ];
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : throw new \LogicException('What was validated is a file.');
    }
}
