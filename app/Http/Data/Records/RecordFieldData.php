<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Details\FieldKind;
use Almanac\Details\FieldReader;
use App\Facts\Details\Sheets;
use App\Models\DetailField;
use OpenApi\Attributes as OA;

/** A field of a detail sheet, with what the record holds in it. */
#[OA\Schema(schema: 'RecordField')]
final readonly class RecordFieldData
{
    /** @param  list<string>  $options */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: FieldKind::class)]
        public string $kind,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $options,
        #[OA\Property]
        public string $help,
        #[OA\Property(description: 'False for what is kept and no longer asked for.')]
        public bool $isAskedFor,
        #[OA\Property(description: 'As it is typed again; several choices stand on a line each. Empty for a secret.')]
        public string $value,
        #[OA\Property(description: 'For reading. Empty for a secret.')]
        public string $display,
        #[OA\Property(description: 'Something is kept, told or not.')]
        public bool $isFilled,
    ) {
    }

    public static function of(DetailField $field, Sheets $sheets, FieldReader $reader): self
    {
        $kept = $sheets->text($field);
        $shown = $field->isSecret() ? '' : $reader->show($field->kind, $kept);

        return new self(
            $field->id,
            $field->name,
            $field->kind->value,
            $field->options,
            $field->help,
            $sheets->asksFor($field),
            match (true) {
                $field->isSecret() => '',
                $field->kind->hasOptions() => $kept,
                default => $shown,
            },
            $shown,
            $kept !== '',
        );
    }
}
