<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TextInput', required: ['text'], properties: [
    new OA\Property('text', description: 'What stands in the file.', type: 'string'),
])]
final class TextRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:2000000'],
        ];
    }
}
