<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Models\Act;
use OpenApi\Attributes as OA;

/** Something that somebody did. */
#[OA\Schema(schema: 'Act')]
final readonly class ActData
{
    /** @param  list<array{label: string, from: string, to: string}>  $differences */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(format: 'date-time')]
        public string $at,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $what,
        #[OA\Property(description: 'The kind of thing it was done to.')]
        public string $subject,
        #[OA\Property(nullable: true)]
        public ?int $subjectId,
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(required: ['label', 'from', 'to'], properties: [
            new OA\Property('label', type: 'string'), new OA\Property('from', type: 'string'), new OA\Property('to', type: 'string'),
        ], type: 'object'))]
        public array $differences,
    ) {
    }

    public static function of(Act $act): self
    {
        return new self(
            $act->id,
            $act->at->format(DATE_ATOM),
            $act->user_name,
            $act->what,
            $act->subject,
            $act->subject_id,
            $act->name,
            $act->differences,
        );
    }
}
