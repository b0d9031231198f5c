<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Illuminate\Foundation\Http\FormRequest;

/** Something that is being typed, and the record it is typed for. */
final class KnownRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'typed' => ['nullable', 'string', 'max:1000'],
            'country' => ['nullable', 'string', 'max:2'],
            'exceptId' => ['nullable', 'integer'],
        ];
    }

    public function typed(): string
    {
        return $this->string('typed')->value();
    }

    public function exceptId(): ?int
    {
        return $this->query('exceptId') === null ? null : $this->integer('exceptId');
    }
}
