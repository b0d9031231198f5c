<?php

declare(strict_types=1);

namespace App\Http\Requests\LookAlikes;

use Almanac\Access\Permission;
use Almanac\LookAlikes\Likeness;
use Almanac\Reach\EmailAddress;
use Almanac\Reach\PhoneNumber;
use Almanac\Records\PartyKind;
use Almanac\Refusal;
use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use App\Models\Office;
use App\Models\TaxNumber;

final class LookAlikesRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('LookAlikesInput', [
            'kind' => Input::oneOf(PartyKind::class),
            'given' => Input::text(),
            'family' => Input::text(),
            'name' => Input::text()->says('Of a company.'),
            'phones' => Input::listOf(Input::text(200), 50)->says('As they are typed.'),
            'emails' => Input::listOf(Input::text(300), 50),
            'taxNumbers' => Input::listOf(Shape::named('TypedTaxNumber', [
                'kind' => Input::oneOf(TaxIdKind::class),
                'country' => Input::text(10),
                'value' => Input::text(200)->says('As it is typed.'),
            ]), 20),
            'exceptId' => Input::id()->orNull()->says('The record that is being edited.'),
        ]);
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
