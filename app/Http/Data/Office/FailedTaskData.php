<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** A background task that failed for good. */
#[OA\Schema(schema: 'FailedTask')]
final readonly class FailedTaskData
{
    private const MOST = 50;

    /** What each does, and what to do where it fails. */
    private const TITLES = [
        'RunBackup' => 'Backup', 'CompareChangedRecords' => 'Duplicate check of changed records', 'IndexKind' => 'Search index of cases',
        'IndexLine' => 'Search index of a shared contact', 'PackBook' => 'Archive of all records', 'PrintStatement' => 'Statement',
        'ReadImport' => 'Import', 'ScanLookAlikes' => 'Duplicate check of all records', 'SendMessage' => 'Email',
        'WorkOnBulkChange' => 'Bulk edit', 'WorkOutDay' => 'Start of the day', 'WriteLettersOfRun' => 'Letters',
    ];

    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'What the task does.')]
        public string $title,
        #[OA\Property(description: 'When it failed, in UTC.', format: 'date-time')]
        public string $at,
        #[OA\Property(description: 'The first line of the error, to pass on when asking for help.')]
        public string $error,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_values(DB::table('failed_jobs')->orderByDesc('id')->limit(self::MOST)->get()->map(function (\stdClass $row): self {
            $payload = json_decode((string) $row->payload, true);
            $class = is_array($payload) && is_string($payload['displayName'] ?? null) ? class_basename($payload['displayName']) : '';

            return new self(
                (int) $row->id,
                self::TITLES[$class] ?? $class,
                str_replace(' ', 'T', (string) $row->failed_at).'+00:00',
                mb_strimwidth(strtok((string) $row->exception, "\n") ?: '', 0, 300, '…'),
            );
        })->all());
    }
}
