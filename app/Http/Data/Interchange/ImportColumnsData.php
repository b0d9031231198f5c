<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use Almanac\Interchange\ColumnFacts;
use Almanac\Interchange\DocumentColumns;
use Almanac\Interchange\OnExisting;
use Almanac\Money\DecimalSign;
use Almanac\Records\PartyKind;
use App\Facts\Interchange\Targets;
use App\Models\Import;
use App\Models\ImportSettings;
use OpenApi\Attributes as OA;

/** What the columns of a file are, and how it is read. */
#[OA\Schema(schema: 'ImportColumns')]
final readonly class ImportColumnsData
{
    /**
     * @param list<string> $sheets
     * @param list<ImportColumnData> $columns
     * @param list<ImportTargetData> $targets
     * @param list<string> $roles
     */
    private function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $sheets,
        #[OA\Property]
        public string $sheet,
        #[OA\Property(description: 'Whether the first line names the columns.')]
        public bool $hasHeadings,
        #[OA\Property(description: 'Whether it has columns of its own, which are to be matched.')]
        public bool $isTable,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ImportColumn'))]
        public array $columns,
        #[OA\Property(description: 'What a column can be said to be.', items: new OA\Items(ref: '#/components/schemas/ImportTarget'))]
        public array $targets,
        #[OA\Property(description: 'Whether 3/4 is March 4.')]
        public bool $isMonthFirst,
        #[OA\Property(description: 'Whether its days could be read either way.')]
        public bool $areDaysAmbiguous,
        #[OA\Property(enum: DecimalSign::class)]
        public string $decimalSign,
        #[OA\Property(enum: OnExisting::class)]
        public string $existing,
        #[OA\Property(description: 'Whether types that are not in the list are added to it.')]
        public bool $takesNewWords,
        #[OA\Property(
            description: 'Of lines that do not say; null where each is told by its name.',
            enum: PartyKind::class,
            nullable: true,
        )]
        public ?string $kind,
        #[OA\Property(description: 'What all of them are: client, vendor.', items: new OA\Items(type: 'string'))]
        public array $roles,
    ) {
    }

    public static function of(Import $import): self
    {
        $settings = $import->settings;
        $documents = DocumentColumns::targets();

        return new self(
            $settings->sheets,
            $settings->sheet,
            $settings->hasHeadings,
            $settings->format->isTable(),
            array_map(
                fn (ColumnFacts $one, string $target) => new ImportColumnData($one->heading, $one->samples, $one->filled, $target),
                $settings->columns,
                array_pad($settings->targets, count($settings->columns), ''),
            ),
            $import->isOfRecords()
                ? array_map(fn (array $one) => new ImportTargetData($one['target'], $one['title'], $one['group']), Targets::all())
                : array_map(
                    fn (string $key, string $title) => new ImportTargetData($key, $title, 'Documents'),
                    array_keys($documents),
                    $documents,
                ),
            $settings->isMonthFirst,
            ColumnFacts::areAmbiguous($settings->holding(ImportSettings::DAYS)),
            $settings->sign->value,
            $settings->existing->value,
            $settings->takesNewWords,
            $settings->kind?->value,
            $settings->roles,
        );
    }
}
