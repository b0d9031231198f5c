<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\Condition;
use Almanac\Lists\Filter;
use Almanac\Lists\SentenceWriter;
use Almanac\Lists\Value;
use Almanac\Lists\Vocabulary;
use OpenApi\Attributes as OA;

/** A part of a filter, as it stands in the sentence. */
#[OA\Schema(schema: 'FilterPart')]
final readonly class FilterPartData
{
    /** @param  list<string>  $values */
    private function __construct(
        #[OA\Property(description: 'Its words.')]
        public string $text,
        #[OA\Property(description: 'The key of the field; null for several parts in brackets.', nullable: true)]
        public ?string $field,
        #[OA\Property(description: 'What is asked of it; empty for several parts.')]
        public string $operator,
        #[OA\Property(description: 'What it is compared with, as it is typed.', items: new OA\Items(type: 'string'))]
        public array $values,
    ) {
    }

    public static function of(Condition|Filter $part, Vocabulary $words): self
    {
        $text = SentenceWriter::part($words, $part);

        return $part instanceof Filter
            ? new self("($text)", null, '', [])
            : new self(
                $text,
                $part->field->key,
                $part->operator->value,
                array_map(fn (Value $one) => $words->operands->write($one), $part->operands),
            );
    }
}
