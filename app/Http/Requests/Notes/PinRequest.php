<?php

declare(strict_types=1);

namespace App\Http\Requests\Notes;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PinInput', required: ['isPinned'], properties: [new OA\Property('isPinned', type: 'boolean')])]
final class PinRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['isPinned' => ['required', 'boolean:strict']];
    }
}
