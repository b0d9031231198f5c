<?php

declare(strict_types=1);

namespace App\Http\Requests\Notes;

use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'CautionInput', required: ['level', 'use', 'text', 'since', 'until'], properties: [
    new OA\Property('level', type: 'string', enum: ['note', 'stop']),
    new OA\Property('use', type: 'string', enum: ['any', 'billing', 'paying', 'writing']),
    new OA\Property('text', type: 'string'),
    new OA\Property('since', description: 'A date as people type it, or empty.', type: 'string'),
    new OA\Property('until', type: 'string'),
])]
final class CautionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'level' => ['required', Rule::enum(CautionLevel::class)],
            'use' => ['required', Rule::enum(CautionUse::class)],
            'text' => ['present', 'string', 'max:2000'],
            'since' => ['present', 'string', 'max:60'],
            'until' => ['present', 'string', 'max:60'],
        ];
    }
}
