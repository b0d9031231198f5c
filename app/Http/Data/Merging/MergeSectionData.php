<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use Almanac\Records\SectionName;
use App\Actions\Merging\PlannedLine;
use App\Actions\Merging\PlannedSection;
use App\Actions\Merging\PlannedValue;
use OpenApi\Attributes as OA;

/** What a section says of the record that several become. */
#[OA\Schema(schema: 'MergeSection')]
final readonly class MergeSectionData
{
    /**
     * @param list<MergeValueData> $values
     * @param list<MergeLineData> $lines
     * @param list<MergeMembersData> $members
     */
    private function __construct(
        #[OA\Property(enum: SectionName::class)]
        public string $name,
        #[OA\Property]
        public string $title,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/MergeValue'))]
        public array $values,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/MergeLine'))]
        public array $lines,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/MergeMembers'))]
        public array $members,
    ) {
    }

    /**
     * @param list<PlannedLine> $lines
     *
     * @return list<PlannedLine> each double right after the line that it repeats
     */
    private static function ordered(array $lines): array
    {
        $ordered = [];
        foreach ($lines as $line) {
            if ($line->line->doubleOf === null) {
                $doubles = array_filter($lines, fn (PlannedLine $one) => $one->line->doubleOf === $line->line->key);
                array_push($ordered, $line, ...$doubles);
            }
        }

        return $ordered;
    }

    public static function of(PlannedSection $section): self
    {
        return new self(
            $section->name->value,
            $section->name->title(),
            array_map(fn (PlannedValue $value) => MergeValueData::of($value), $section->values),
            array_map(fn (PlannedLine $line) => MergeLineData::of($line), self::ordered($section->lines)),
            array_values(array_filter(
                array_map(fn (array $one) => new MergeMembersData($one[0], $one[1]), $section->members),
                fn (MergeMembersData $one) => $one->names !== [],
            )),
        );
    }
}
