<?php

declare(strict_types=1);

namespace App\Actions\Files;

use Almanac\Files\FileKind;
use Almanac\Files\FileType;
use Almanac\Names\NamePart;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Finding\IndexParties;
use App\Actions\Records\ChangeSections;
use App\Actions\Records\LogChanges;
use App\Actions\Records\SectionOf;
use App\Actions\Records\TaxNumbersSection;
use App\Actions\Reminders\KeepReminders;
use App\Models\File;
use App\Models\Party;
use App\Models\SubjectModel;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;

/** Takes files in, names them, and lets them go. The same content is stored once, under its hash. */
final readonly class KeepFiles
{
    public function __construct(
        private ChangeSections $change,
        private TaxNumbersSection $taxNumbers,
        private LogChanges $log,
        private IndexParties $index,
        private KeepReminders $reminders,
        private TypedDates $dates,
        private Clock $clock,
    ) {
    }

    /** @throws ValidationException when it is empty, too large, or of a type that is not kept */
    public function add(SubjectModel $subject, UploadedFile $upload, FileKind $kind, User $by): void
    {
        $subject->assertInUse();
        $problems = new FieldProblems();
        $name = $problems->at('file', fn () => $this->name($upload->getClientOriginalName()));
        $type = $problems->at(
            'file',
            fn () => FileType::of(
                (string) $name,
                (string) (new \finfo(FILEINFO_MIME_TYPE))->file($upload->getRealPath()),
                (int) $upload->getSize(),
            ),
        );
        $problems->throwIfAny();
        $sha256 = (string) hash_file('sha256', $upload->getRealPath());
        DB::transaction(function () use ($subject, $upload, $kind, $name, $type, $sha256, $by): void {
            // The content first: a record never points to what is not there. Inside the lock: nobody lets it go meanwhile.
            $this->store($upload, $sha256);
            $file = File::query()->create([
                'subject_id' => $subject->id,
                'name' => $name === '' ? 'unnamed' : $name,
                'kind' => $kind,
                'sha256' => $sha256,
                'size' => (int) $upload->getSize(),
                'media_type' => $type->mediaType ?? '',
                'user_id' => $by->id,
                'added_at' => $this->clock->now(),
            ]);
            $this->write($subject, '', $this->told($file), $by);
        });
    }

    /**
     * @param array{name: string, kind: string, expiresOn: string, isPrivate: bool} $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function change(File $file, array $input, User $by): void
    {
        $file->subject()->assertInUse();
        $problems = new FieldProblems;
        $name = $problems->at('name', fn () => $this->name($input['name']));
        if ($name === '') {
            $problems->add('name', 'Type a name for the file.');
        }
        $expires = $this->dates->day($input['expiresOn'], 'expiresOn', $problems);
        $problems->throwIfAny();
        DB::transaction(function () use ($file, $input, $name, $expires, $by): void {
            $was = $this->told($file);
            $hadSet = $file->expires_on?->toIso();
            $file->update([
                'name' => $name,
                'kind' => FileKind::from($input['kind']),
                'expires_on' => $expires,
                'is_private' => $input['isPrivate'],
            ]);
            if ($hadSet !== $expires?->toIso()) {
                $this->reminders->ofExpiry($file, $by);
            }
            $this->write($file->subject(), $was, $this->told($file), $by);
        });
    }

    public function remove(File $file, User $by): void
    {
        $file->subject()->assertInUse();
        DB::transaction(function () use ($file, $by): void {
            $told = $this->told($file);
            $file->expires_on = null;
            $this->reminders->ofExpiry($file, $by);
            $subject = $file->subject();
            // Of a record it may be the form that the tax numbers were read from.
            $touched = $subject instanceof Party ? [SectionOf::party($this->taxNumbers, $subject)] : [];
            $this->change->around($touched, $by, fn () => $file->delete() && $subject->refresh());
            $this->write($subject, $told, '', $by);
        });
        $this->letGo($file->sha256);
    }

    /** Takes the content away once no record has it any more. */
    public function letGo(string $sha256): void
    {
        DB::afterCommit(fn () => DB::transaction(function () use ($sha256): void {
            if (! File::query()->where('sha256', $sha256)->exists()) {
                Storage::delete(File::pathOf($sha256));
            }
        }));
    }

    /** Of a whole path only its last part: a name leads nowhere. */
    private function name(string $typed): string
    {
        return NamePart::tidy(basename(str_replace('\\', '/', $typed)));
    }

    private function store(UploadedFile $upload, string $sha256): void
    {
        $path = File::pathOf($sha256);
        if (! Storage::exists($path)) {
            // Written beside it and moved into place, so that nobody reads half a file.
            $partial = $path.'.'.bin2hex(random_bytes(6)).'.part';
            Storage::putFileAs(dirname($partial), $upload, basename($partial));
            Storage::move($partial, $path);
        }
    }

    private function told(File $file): string
    {
        return implode(', ', array_filter([
            $file->name,
            $file->kind->value,
            $file->expires_on === null ? '' : 'expires on '.$file->expires_on->toText(),
            $file->is_private ? 'private' : '',
        ]));
    }

    private function write(SubjectModel $subject, string $from, string $to, User $by): void
    {
        if ($subject instanceof Party) {
            // A record is found by the names of its files.
            $this->index->these([$subject->id]);
        }
        $this->log->handle(
            $subject,
            SectionName::Files,
            Difference::between(['file' => new LoggedFact('File', $from)], ['file' => new LoggedFact('File', $to)]),
            $by,
        );
    }
}
