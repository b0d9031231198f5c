<?php

declare(strict_types=1);

namespace App\Http\Data\Files;

use Almanac\Calendar\Day;
use Almanac\Files\FileKind;
use Almanac\Files\FileType;
use App\Http\Data\Records\SubjectLinkData;
use App\Models\File;
use OpenApi\Attributes as OA;

/** A file on a record. */
#[OA\Schema(schema: 'File')]
final readonly class FileData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(ref: '#/components/schemas/SubjectLink')]
        public SubjectLinkData $about,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: FileKind::class)]
        public string $kind,
        #[OA\Property(description: 'For reading: 1.2 MB.')]
        public string $sizeText,
        #[OA\Property(description: 'As it is typed again; empty when it does not expire.')]
        public string $expiresOn,
        #[OA\Property]
        public bool $isExpired,
        #[OA\Property(description: 'Only for those who may see private values.')]
        public bool $isPrivate,
        #[OA\Property]
        public bool $isPicture,
        #[OA\Property(description: 'A browser shows it.')]
        public bool $canBeShown,
        #[OA\Property(description: 'For reading.')]
        public string $addedText,
    ) {
    }

    public static function of(File $file, Day $today): self
    {
        return new self(
            $file->id,
            SubjectLinkData::of($file->subject()),
            $file->name,
            $file->kind->value,
            $file->size < 100_000 ? number_format(max(1, $file->size / 1000)).' kB' : number_format($file->size / 1_000_000, 1).' MB',
            $file->expires_on?->toText() ?? '',
            $file->expires_on?->isBefore($today) ?? false,
            $file->is_private,
            FileType::isPicture($file->media_type),
            FileType::canBeShown($file->media_type),
            Day::fromIso($file->added_at->format('Y-m-d'))->toText().' by '.$file->user->name,
        );
    }
}
