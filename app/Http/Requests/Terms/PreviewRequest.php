<?php

declare(strict_types=1);

namespace App\Http\Requests\Terms;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PreviewInput', required: ['terms', 'documentDate'], properties: [
    new OA\Property('terms', description: 'Shorthand, such as 2/10 net 30.', type: 'string'),
    new OA\Property('documentDate', description: 'A date as people type it.', type: 'string'),
])]
final class PreviewRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'terms' => ['present', 'string', 'max:300'],
            'documentDate' => ['present', 'string', 'max:60'],
        ];
    }
}
