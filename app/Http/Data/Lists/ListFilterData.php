<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\Condition;
use Almanac\Lists\Filter;
use Almanac\Lists\Misread;
use Almanac\Lists\Reading;
use Almanac\Lists\SentenceWriter;
use Almanac\Lists\Vocabulary;
use OpenApi\Attributes as OA;

/** What was understood of the sentence of a list. */
#[OA\Schema(schema: 'ListFilter')]
final readonly class ListFilterData
{
    /**
     * @param list<FilterPartData> $parts
     * @param list<MisreadData> $misread
     */
    private function __construct(
        #[OA\Property(description: 'As it is written: reading it gives the same.')]
        public string $sentence,
        #[OA\Property(description: 'Whether all of the parts are asked; else any of them.')]
        public bool $isAll,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/FilterPart'))]
        public array $parts,
        #[OA\Property(
            description: 'What was not understood, or asks for what is not there.',
            items: new OA\Items(ref: '#/components/schemas/Misread'),
        )]
        public array $misread,
        #[OA\Property(description: 'Whether the list is what the whole sentence asks.')]
        public bool $isWhole,
    ) {
    }

    public static function of(Reading $reading, Vocabulary $words): self
    {
        return new self(
            SentenceWriter::write($words, $reading->filter),
            $reading->filter->isAll,
            array_map(fn (Condition|Filter $part) => FilterPartData::of($part, $words), $reading->filter->parts),
            array_map(fn (Misread $one) => MisreadData::of($one), $reading->misread),
            $reading->isWhole(),
        );
    }
}
