<?php

declare(strict_types=1);

namespace App\Http\Requests\Reminders;

use Almanac\Calendar\Day;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'DoneInput',
        required: ['day'],
        properties: [
            new OA\Property(
                'day',
                description: 'The day it was due when it was seen; one that has gone on since is left alone.',
                type: 'string',
                format: 'date',
            ),
        ],
    ),
]
final class DoneRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['day' => ['required', 'string', 'date_format:Y-m-d']];
    }

    public function day(): Day
    {
        return Day::fromIso($this->string('day')->value());
    }
}
