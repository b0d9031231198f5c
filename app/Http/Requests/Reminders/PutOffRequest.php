<?php

declare(strict_types=1);

namespace App\Http\Requests\Reminders;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PutOffInput', required: ['day', 'time'], properties: [
    new OA\Property('day', description: 'A date as people type it.', type: 'string'),
    new OA\Property('time', description: 'Empty leaves it.', type: 'string'),
])]
final class PutOffRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['day' => ['present', 'string', 'max:100'], 'time' => ['present', 'string', 'max:100']];
    }
}
