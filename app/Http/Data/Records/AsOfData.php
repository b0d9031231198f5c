<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Actions\Records\ComparedDays;
use App\Actions\Records\ComparedSection;
use App\Facts\Records\SectionVersions;
use App\Models\SubjectModel;
use OpenApi\Attributes as OA;

/** A record, a case or a project as it was on a past day, beside another day. */
#[OA\Schema(schema: 'AsOf')]
final readonly class AsOfData
{
    /** @param  list<AsOfSectionData>  $sections */
    private function __construct(
        #[OA\Property(description: 'As it is called now.', ref: '#/components/schemas/SubjectLink')]
        public SubjectLinkData $subject,
        #[OA\Property(description: 'As it was called then.')]
        public string $name,
        #[OA\Property(description: 'For reading, and to be typed again.')]
        public string $day,
        #[OA\Property]
        public string $other,
        #[OA\Property(description: 'Whether the other day is today, and the subject in use: what is different can be brought back then.')]
        public bool $canBringBack,
        #[OA\Property(description: 'The last day before on which something of it was saved.', nullable: true)]
        public ?string $savedBefore,
        #[OA\Property(description: 'The first day after on which something of it was saved.', nullable: true)]
        public ?string $savedAfter,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/AsOfSection'))]
        public array $sections,
    ) {
    }

    public static function of(SubjectModel $subject, ComparedDays $days): self
    {
        $versions = SectionVersions::all($subject);

        return new self(
            SubjectLinkData::of($subject),
            SubjectLinkData::of($days->then)->name,
            $days->day->toText(),
            $days->other->toText(),
            $days->isNow && ! $subject->isArchived(),
            $days->savedBefore?->toText(),
            $days->savedAfter?->toText(),
            array_map(
                fn (ComparedSection $section) => AsOfSectionData::of($section, $versions[$section->name->value] ?? 0),
                $days->sections,
            ),
        );
    }
}
