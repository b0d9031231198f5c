<?php

declare(strict_types=1);

namespace App\Http\Requests\Reminders;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ReminderInput', required: ['text', 'day', 'time', 'rule', 'userId'], properties: [
    new OA\Property('text', type: 'string'),
    new OA\Property('day', description: 'A date as people type it; empty for today.', type: 'string'),
    new OA\Property('time', description: 'As people type it; empty for nine in the morning.', type: 'string'),
    new OA\Property('rule', description: 'A rule of RFC 5545, or words such as “every week”; empty for once.', type: 'string'),
    new OA\Property('userId', description: 'For whom.', type: 'integer'),
])]
final class ReminderRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['present', 'string', 'max:2000'],
            'day' => ['present', 'string', 'max:100'],
            'time' => ['present', 'string', 'max:100'],
            'rule' => ['present', 'string', 'max:300'],
            'userId' => ['required', 'integer:strict'],
        ];
    }
}
