<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ClassificationInput', required: [
    'version', 'types', 'tags', 'ownerId', 'accountManagerId', 'buyerId', 'source', 'language', 'grade', 'codes',
], properties: [
    new OA\Property('version', type: 'integer'),
    new OA\Property('types', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property('tags', description: 'A new one is put into the office’s list.', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property('ownerId', type: 'integer', nullable: true),
    new OA\Property('accountManagerId', description: 'Null takes it over from the company.', type: 'integer', nullable: true),
    new OA\Property('buyerId', type: 'integer', nullable: true),
    new OA\Property('source', type: 'string'),
    new OA\Property('language', description: 'ISO 639, or empty.', type: 'string'),
    new OA\Property('grade', description: '1 to 5.', type: 'integer', nullable: true),
    new OA\Property('codes', type: 'array', items: new OA\Items(ref: '#/components/schemas/CodeInput')),
])]
#[OA\Schema(schema: 'CodeInput', required: ['id', 'system', 'value'], properties: [
    new OA\Property('id', description: 'Null for a new one.', type: 'integer', nullable: true),
    new OA\Property('system', type: 'string'),
    new OA\Property('value', type: 'string'),
])]
final class ClassificationRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'types' => ['present', new ItemList, 'max:20'],
            'types.*' => ['required', 'string', 'max:200', 'distinct'],
            'tags' => ['present', new ItemList, 'max:50'],
            'tags.*' => ['required', 'string', 'max:200', 'distinct'],
            'ownerId' => ['present', new IdOrNull],
            'accountManagerId' => ['present', new IdOrNull],
            'buyerId' => ['present', new IdOrNull],
            'source' => self::text(),
            'language' => self::text(),
            'grade' => ['present', new IdOrNull],
            'codes' => ['present', new ItemList, 'max:30'],
            'codes.*' => ['array'],
            'codes.*.id' => ['present', new IdOrNull],
            'codes.*.system' => self::text(),
            'codes.*.value' => self::text(),
        ];
    }
}
