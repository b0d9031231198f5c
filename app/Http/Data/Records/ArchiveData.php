<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Models\SubjectModel;
use OpenApi\Attributes as OA;

/** Since when and why a record is out of use. */
#[OA\Schema(schema: 'Archive')]
final readonly class ArchiveData
{
    private function __construct(
        #[OA\Property]
        public string $onText,
        #[OA\Property]
        public string $reason,
    ) {
    }

    public static function of(SubjectModel $subject): ?self
    {
        return $subject->archived_on === null ? null : new self($subject->archived_on->toText(), $subject->archive_reason);
    }
}
