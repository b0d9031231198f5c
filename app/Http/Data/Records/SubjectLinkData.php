<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Records\SubjectKind;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\SubjectModel;
use OpenApi\Attributes as OA;

/** Enough of a record, a case or a project to name it and to open it. */
#[OA\Schema(schema: 'SubjectLink')]
final readonly class SubjectLinkData
{
    private function __construct(
        #[OA\Property(enum: SubjectKind::class)]
        public string $kind,
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
    ) {
    }

    public static function of(SubjectModel $subject): self
    {
        return new self($subject::subjectKind()->value, $subject->id, match (true) {
            $subject instanceof Party => $subject->display_name,
            $subject instanceof Engagement => $subject->shownTitle(),
            default => '',
        });
    }
}
