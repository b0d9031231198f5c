<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\FieldType;
use Almanac\Lists\Operator;
use Almanac\Lists\Span;
use OpenApi\Attributes as OA;

/** What can be asked of a field. */
#[OA\Schema(schema: 'Asked')]
final readonly class AskedData
{
    /** @param  list<string>|null  $choices */
    private function __construct(
        #[OA\Property(enum: Operator::class)]
        public string $operator,
        #[OA\Property(description: 'In words, as in "is before".')]
        public string $title,
        #[OA\Property(description: 'How many it is compared with; null for one or more.', nullable: true)]
        public ?int $operands,
        #[OA\Property(
            description: 'What can be chosen where it is asked of times; null otherwise.',
            items: new OA\Items(type: 'string'),
            nullable: true,
        )]
        public ?array $choices,
    ) {
    }

    public static function of(Operator $one, FieldType $type): self
    {
        $isSpan = $one === Operator::During || $one === Operator::NotDuring;

        return new self($one->value, $one->title($type), $one->operands(), $isSpan ? Span::usual() : null);
    }
}
