<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Records\PartyKind;
use App\Models\DetailField;
use App\Models\DetailSheet;
use OpenApi\Attributes as OA;

/** A detail sheet as the office defines it. */
#[OA\Schema(schema: 'Sheet')]
final readonly class SheetData
{
    /** @param  list<SheetFieldData>  $fields */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'Null for people and companies alike.', enum: PartyKind::class, nullable: true)]
        public ?string $partyKind,
        #[OA\Property(description: 'Only for records of that type; empty for all.')]
        public string $type,
        #[OA\Property(description: 'Only for cases or projects of that kind; null for people and companies.', nullable: true)]
        public ?int $engagementKindId,
        #[OA\Property]
        public bool $isRetired,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/SheetField'))]
        public array $fields,
    ) {
    }

    /** @param  array<int, int>  $uses how many records have filled in a field */
    public static function of(DetailSheet $sheet, array $uses): self
    {
        return new self(
            $sheet->id,
            $sheet->name,
            $sheet->party_kind?->value,
            $sheet->type->name ?? '',
            $sheet->engagement_kind_id,
            $sheet->is_retired,
            array_values($sheet->fields->map(fn (DetailField $field) => SheetFieldData::of($field, $uses[$field->id] ?? 0))->all()),
        );
    }
}
