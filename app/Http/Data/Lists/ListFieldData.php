<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Operator;
use Almanac\Lists\Vocabulary;
use OpenApi\Attributes as OA;

/** A field that a list can be asked for, with what can be asked of it. */
#[OA\Schema(schema: 'ListField')]
final readonly class ListFieldData
{
    /**
     * @param list<AskedData> $operators
     * @param list<string>|null $choices
     */
    private function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: FieldType::class)]
        public string $type,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Asked'))]
        public array $operators,
        #[OA\Property(description: 'What can be chosen; null where anything can be.', items: new OA\Items(type: 'string'), nullable: true)]
        public ?array $choices,
        #[OA\Property(description: 'Whether it can be a column, and a list be sorted by it.')]
        public bool $isColumn,
    ) {
    }

    public static function of(Field $field, Vocabulary $words, bool $isColumn): self
    {
        $operators = $field->isPrivate ? [Operator::Has, Operator::Lacks] : $field->type->operators();

        return new self(
            $field->key,
            $field->title,
            $field->type->value,
            array_map(fn (Operator $one) => AskedData::of($one, $field->type), $operators),
            $words->operands->choicesOf($field),
            $isColumn,
        );
    }
}
