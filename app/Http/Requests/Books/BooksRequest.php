<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Ledger\AgeingBy;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'BooksInput',
        required: ['ageingBy', 'warnAfter', 'lateRate', 'latePerMonth', 'keepsUsHolidays'],
        properties: [
            new OA\Property('ageingBy', type: 'string', enum: ['due date', 'document date']),
            new OA\Property('warnAfter', type: 'integer'),
            new OA\Property('lateRate', type: 'string'),
            new OA\Property('latePerMonth', type: 'boolean'),
            new OA\Property('keepsUsHolidays', type: 'boolean'),
        ],
    ),
]
final class BooksRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'ageingBy' => ['required', Rule::enum(AgeingBy::class)],
            'warnAfter' => ['required', 'integer'],
            'lateRate' => ['present', 'string', 'max:300'],
            'latePerMonth' => ['required', 'boolean:strict'],
            'keepsUsHolidays' => ['required', 'boolean:strict'],
        ];
    }
}
