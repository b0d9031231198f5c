<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Models\Backup;
use OpenApi\Attributes as OA;

/** A backup that was made, is running or failed. */
#[OA\Schema(schema: 'Backup')]
final readonly class BackupData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'Why it was made: every night or by hand.', enum: [Backup::NIGHTLY, Backup::MANUAL])]
        public string $kind,
        #[OA\Property(enum: [Backup::RUNNING, Backup::DONE, Backup::FAILED])]
        public string $state,
        #[OA\Property(description: 'When it was begun, in UTC.', format: 'date-time')]
        public string $at,
        #[OA\Property(description: 'Absolute path of the file on the server; empty when there is none.')]
        public string $path,
        #[OA\Property(description: 'Size of the file in bytes; null when there is none.', nullable: true)]
        public ?int $bytes,
        #[OA\Property(description: 'Whether a passphrase is needed to restore it.')]
        public bool $isEncrypted,
        #[OA\Property(description: 'What went wrong and what to do; empty when nothing did.')]
        public string $failure,
    ) {
    }

    public static function of(Backup $backup): self
    {
        $isGone = $backup->path !== null && ! is_file($backup->path);

        return new self(
            $backup->id,
            $backup->kind,
            $isGone ? Backup::FAILED : $backup->state,
            $backup->begun_at->toIso8601String(),
            $backup->path ?? '',
            $backup->bytes,
            $backup->is_encrypted,
            $isGone ? 'The file is not where it was written. It was moved or deleted.' : $backup->failure,
        );
    }
}
