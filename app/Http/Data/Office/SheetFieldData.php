<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Models\DetailField;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'SheetField')]
final readonly class SheetFieldData
{
    /** @param  list<string>  $options */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ['text', 'long text', 'number', 'date', 'yes or no', 'choice', 'several choices', 'amount', 'secret'])]
        public string $kind,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $options,
        #[OA\Property] public string $help,
        #[
            OA\Property(
                description: 'What a record is not ready for without it.',
                enum: ['write-to', 'bill', 'pay', 'tax-report'],
                nullable: true,
            ),
        ]
        public ?string $requiredFor,
        #[OA\Property]
        public bool $isRetired,
        #[OA\Property(description: 'How many records have filled it in.')]
        public int $uses,
    ) {
    }

    public static function of(DetailField $field, int $uses): self
    {
        return new self(
            $field->id,
            $field->name,
            $field->kind->value,
            $field->options,
            $field->help,
            $field->required_for?->value,
            $field->is_retired,
            $uses,
        );
    }
}
