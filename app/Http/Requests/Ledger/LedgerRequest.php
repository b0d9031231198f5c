<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\DocumentKind;
use Almanac\Terms\Side;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What somebody wants to see of the ledger. */
final class LedgerRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'partyId' => ['nullable', 'integer'],
            'page' => ['nullable', 'integer', 'min:1'],
            'side' => ['nullable', Rule::enum(Side::class)],
            'kind' => ['nullable', Rule::enum(DocumentKind::class)],
            'bucket' => ['nullable', Rule::enum(AgeingBucket::class)],
            'state' => [
                'nullable',
                Rule::in([
                    'open',
                    'owed',
                    'overdue',
                    'newly-overdue',
                    'due-this-week',
                    'billed',
                    'counted',
                    'reported',
                    'draft',
                    'issued',
                    'part-paid',
                    'settled',
                    'void',
                ]),
            ],
            'currency' => ['nullable', 'string', 'size:3'],
            'from' => ['nullable', 'date_format:Y-m-d'],
            'to' => ['nullable', 'date_format:Y-m-d'],
            'q' => ['nullable', 'string', 'max:200'],
            'format' => ['nullable', Rule::in(['csv'])],
        ];
    }

    /**
     * @return array{
     *     partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null,
     *     currency?: string|null, from?: string|null, to?: string|null, q?: string|null,
     * }
     */
    public function wanted(): array
    {
        /**
         * @var array{
         *     partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null,
         *     currency?: string|null, from?: string|null, to?: string|null, q?: string|null,
         * }
         */
        return $this->safe()->except('page', 'format');
    }
}
