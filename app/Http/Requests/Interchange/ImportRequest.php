<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use App\Http\Requests\UploadRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ImportRequest extends UploadRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ImportUpload', [
            'file' => Input::file(self::MOST)->says(
                'A table (CSV, XLSX, ODS), an address book (vCard, jCard, LDIF), or a UBL 2.1 invoice or credit note; at most 25 MB.',
            ),
        ]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.max' => 'At most 25 MB at once. Split the file.'] + parent::messages();
    }
}
