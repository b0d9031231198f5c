<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ArchiveInput', required: ['reason'], properties: [new OA\Property('reason', type: 'string')])]
final class ArchiveRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => ['present', 'string', 'max:1000']];
    }
}
