<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\ListView;
use Almanac\Lists\ShippedList;
use App\Models\SavedList;
use App\Models\User;
use OpenApi\Attributes as OA;

/** A list under a name, with how many are in it now. */
#[OA\Schema(schema: 'SavedList')]
final readonly class SavedListData
{
    /** @param  list<string>  $columns */
    private function __construct(
        #[OA\Property(description: 'As it stands in an address: "archived", or a number.')]
        public string $key,
        #[OA\Property(description: 'Null for those that are there for everybody from the beginning.', nullable: true)]
        public ?int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $sentence,
        #[OA\Property(description: 'What is chosen besides, as it stands in an address.')]
        public string $choices,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $columns,
        #[OA\Property]
        public string $sort,
        #[OA\Property(enum: ListView::class)]
        public string $view,
        #[OA\Property(description: 'Of one that is counted: keys of fields with a comma between them.')]
        public string $countedBy,
        #[OA\Property(description: 'Of one that is counted: of which time what was billed and paid is added up.')]
        public string $period,
        #[OA\Property(description: 'Whether everybody has it at the left.')]
        public bool $isShared,
        #[OA\Property(description: 'Who keeps it; empty for nobody.')]
        public string $by,
        #[OA\Property(description: 'Whether whoever asks may change it.')]
        public bool $mayChange,
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'Null for lists of which that is told when they are opened.', nullable: true)]
        public ?int $count,
        #[OA\Property(description: 'Whether the list is what its sentence asks: a field or a word of it may be gone.')]
        public bool $isWhole,
    ) {
    }

    public static function of(SavedList $list, User $reader, ?int $count, bool $isWhole): self
    {
        return new self(
            (string) $list->id, $list->id, $list->name, $list->sentence, $list->choices, $list->columns, $list->sort,
            $list->view->value, $list->counted_by, $list->period, $list->is_shared,
            $list->user->name, $list->mayBeChangedBy($reader), $list->version, $count, $isWhole,
        );
    }

    public static function shipped(ShippedList $list, int $count, bool $isWhole): self
    {
        return new self(
            $list->value, null, $list->title(), $list->sentence(), '', [], $list->sort(), ListView::Table->value, '', '',
            true, '', false, 0, $count, $isWhole,
        );
    }
}
