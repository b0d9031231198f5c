<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Details\FieldKind;
use Almanac\Readiness\Purpose;
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
        #[OA\Property(enum: FieldKind::class)]
        public string $kind,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $options,
        #[OA\Property] public string $help,
        #[
            OA\Property(
                description: 'What a record is not ready for without it.',
                enum: Purpose::class,
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
