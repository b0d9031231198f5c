<?php

declare(strict_types=1);

namespace App\Http\Requests\Notes;

use Almanac\Records\LogKind;
use App\Http\Requests\Rules\IdOrNull;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LogEntryInput', required: ['kind', 'day', 'withPartyId', 'text', 'isPinned'], properties: [
    new OA\Property('kind', type: 'string', enum: ['note', 'call', 'email', 'meeting', 'letter']),
    new OA\Property('day', description: 'A date as people type it; empty means today.', type: 'string'),
    new OA\Property('withPartyId', type: 'integer', nullable: true),
    new OA\Property('text', type: 'string'),
    new OA\Property('isPinned', type: 'boolean'),
])]
final class LogEntryRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(LogKind::class)],
            'day' => ['present', 'string', 'max:60'],
            'withPartyId' => ['present', new IdOrNull],
            'text' => ['present', 'string', 'max:20000'],
            'isPinned' => ['required', 'boolean:strict'],
        ];
    }
}
