<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Actions\Office\KeepBackupSettings;
use App\Http\Data\Office\BackupsData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Office\BackupSettingsRequest;
use Illuminate\Http\JsonResponse;

/** Backups of the whole installation; for administrators. */
final readonly class BackupsController
{
    public function __construct(private KeepBackupSettings $keep)
    {
    }

    #[Reads('office/backups', 'listBackups', 'The backups of the office and how they are kept', 'Backups', 'Office')]
    public function index(): JsonResponse
    {
        return new JsonResponse(BackupsData::now());
    }

    #[Puts('office/backups', 'saveBackupSettings', 'Save how backups are kept', 'BackupSettingsInput', 'Backups', 'Office')]
    public function save(BackupSettingsRequest $request): JsonResponse
    {
        $this->keep->save($request->boolean('isNightly'), $request->integer('kept'), $request->string('folder')->value());

        return new JsonResponse(BackupsData::now());
    }

    #[Adds('office/backups', 'makeBackup', 'Back up the office now, in the background', '', 'Backups', 'Office')]
    public function make(): JsonResponse
    {
        $this->keep->makeNow();

        return new JsonResponse(BackupsData::now(), 201);
    }
}
