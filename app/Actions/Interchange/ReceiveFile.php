<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\DocumentColumns;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\TableFile;
use App\Background\ReadImport;
use App\Models\Import;
use App\Models\ImportSettings;
use App\Models\Office;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Takes a file in hand, whatever is in it; it is read apart from the request, so that whoever handed it in can leave. */
final readonly class ReceiveFile
{
    private const HEAD = 8192;

    public function __construct(private Clock $clock)
    {
    }

    /** @throws InterchangeRefused when it is none that can be read */
    public function handle(UploadedFile $file, User $by): Import
    {
        $kind = FileKind::of((string) file_get_contents($file->getPathname(), length: self::HEAD));
        $isOfDocuments = $kind === FileKind::Ubl || ($kind->isTable() && $this->hasDocuments($kind, $file->getPathname()));
        $path = 'imports/'.Str::uuid();
        Storage::putFileAs('imports', $file, basename($path));

        return $this->received($kind, $isOfDocuments, $path, $file->getClientOriginalName(), $by);
    }

    /**
     * What was fetched from elsewhere.
     *
     * @throws InterchangeRefused when it is none that can be read
     */
    public function content(string $content, string $name, User $by): Import
    {
        $kind = FileKind::of(substr($content, 0, self::HEAD));
        $path = 'imports/'.Str::uuid();
        Storage::put($path, $content);

        return $this->received($kind, false, $path, $name, $by);
    }

    private function received(FileKind $kind, bool $isOfDocuments, string $path, string $name, User $by): Import
    {
        $office = Office::current();
        $import = Import::query()->create([
            'name' => mb_substr(mb_scrub($name), 0, 200),
            'path' => $path,
            'of' => $isOfDocuments ? Import::DOCUMENTS : Import::RECORDS,
            'state' => ImportState::Reading,
            'settings' => new ImportSettings(format: $kind, isMonthFirst: $office->writesMonthFirst(), sign: $office->decimalSign()),
            'user_id' => $by->id,
            'created_at' => $this->clock->now(),
        ]);
        ReadImport::dispatch($import->id)->onQueue('short');

        return $import;
    }

    private function hasDocuments(FileKind $kind, string $path): bool
    {
        foreach (TableFile::rows($kind, $path) as $cells) {
            return DocumentColumns::isNamedBy($cells);
        }
        throw InterchangeRefused::empty();
    }
}
