<?php

declare(strict_types=1);

namespace App\Http\Requests\LookAlikes;

use Almanac\Access\Permission;
use Almanac\LookAlikes\Likeness;
use Almanac\Reach\EmailAddress;
use Almanac\Reach\PhoneNumber;
use Almanac\Refusal;
use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use App\Models\Office;
use App\Models\TaxNumber;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'LookAlikesInput',
        required: ['kind', 'given', 'family', 'name', 'phones', 'emails', 'taxNumbers', 'exceptId'],
        properties: [
            new OA\Property('kind', type: 'string', enum: ['person', 'company']),
            new OA\Property('given', type: 'string'),
            new OA\Property('family', type: 'string'),
            new OA\Property('name', description: 'Of a company.', type: 'string'),
            new OA\Property('phones', description: 'As they are typed.', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property('emails', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property('taxNumbers', type: 'array', items: new OA\Items(ref: '#/components/schemas/TypedTaxNumber')),
            new OA\Property('exceptId', description: 'The record that is being edited.', type: 'integer', nullable: true),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'TypedTaxNumber',
        required: ['kind', 'country', 'value'],
        properties: [
            new OA\Property('kind', type: 'string'),
            new OA\Property('country', type: 'string'),
            new OA\Property('value', description: 'As it is typed.', type: 'string'),
        ],
    ),
]
final class LookAlikesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(['person', 'company'])],
            'given' => ['present', 'string', 'max:1000'],
            'family' => ['present', 'string', 'max:1000'],
            'name' => ['present', 'string', 'max:1000'],
            'phones' => ['present', new ItemList, 'max:50'],
            'phones.*' => ['string', 'max:200'],
            'emails' => ['present', new ItemList, 'max:50'],
            'emails.*' => ['string', 'max:300'],
            'taxNumbers' => ['present', new ItemList, 'max:20'],
            'taxNumbers.*' => ['array'],
            'taxNumbers.*.kind' => ['required', Rule::enum(TaxIdKind::class)],
            'taxNumbers.*.country' => ['present', 'string', 'max:10'],
            'taxNumbers.*.value' => ['present', 'string', 'max:200'],
            'exceptId' => ['present', new IdOrNull],
        ];
    }

    /** Whether private numbers are asked about. */
    public function asksForNumbers(): bool
    {
        return $this->numbers() !== [];
    }

    /** What has been typed so far; what is no phone or email yet is left out. */
    public function likeness(): Likeness
    {
        $country = Office::current()->country;
        $phones = $this->readable('phones', fn (string $typed) => PhoneNumber::fromTyped($typed, $country)->e164);
        $emails = $this->readable('emails', fn (string $typed) => EmailAddress::fromTyped($typed)->address());

        return $this->string('kind')->value() === 'person'
            ? Likeness::person($this->string('given')->value(), $this->string('family')->value(), $phones, $emails, [], $this->numbers())
            : Likeness::company($this->string('name')->value(), $phones, $emails, [], $this->numbers());
    }

    /** @return list<string> none for somebody who may not see them: the answer would tell */
    private function numbers(): array
    {
        if ($this->user()?->can(Permission::SeePrivate->value) !== true) {
            return [];
        }
        $tokens = [];
        /** @var array{kind: string, country: string, value: string} $row */
        foreach ($this->array('taxNumbers') as $row) {
            try {
                $tokens[] = TaxNumber::tokenOfTyped(TaxId::of(TaxIdKind::from($row['kind']), $row['country'], $row['value']));
            } catch (Refusal) {
                continue;
            }
        }

        return $tokens;
    }

    /**
     * @param \Closure(string): string $read
     *
     * @return list<string>
     */
    private function readable(string $field, \Closure $read): array
    {
        $values = [];
        foreach ($this->array($field) as $typed) {
            try {
                $values[] = $read(is_string($typed) ? $typed : '');
            } catch (Refusal) {
                continue;
            }
        }

        return $values;
    }
}
