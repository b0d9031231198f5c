<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Files\FileKind;
use App\Actions\Files\KeepFiles;
use App\Actions\Notes\SetCaution;
use App\Actions\Notes\WriteLogEntry;
use App\Actions\Reminders\KeepReminders;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Http\UploadedFile;

/** What lies with the records of the demo office: entries of the log, cautions, files, reminders. */
final readonly class DemoPapers
{
    use TellsDaysAgo;

    public function __construct(
        private WriteLogEntry $log,
        private SetCaution $cautions,
        private KeepFiles $files,
        private KeepReminders $reminders,
        private Clock $clock,
    ) {
    }

    /**
     * @param array<string, Party> $parties by the name in DemoRecords
     * @param list<User> $users
     */
    public function seed(array $parties, array $users, User $by): void
    {
        $this->notes($parties, $by);
        $this->files($parties, $by);
        $this->remind($parties, $users);
    }

    /** @param  array<string, Party>  $parties */
    private function notes(array $parties, User $by): void
    {
        foreach (DemoRecords::ENTRIES as [$key, $kind, $daysAgo, $with, $text, $isPinned]) {
            $this->log->write($parties[$key], [
                'kind' => $kind,
                'day' => $this->daysAgo($daysAgo),
                'withPartyId' => $with === null ? null : $parties[$with]->id,
                'text' => $text,
                'isPinned' => $isPinned,
            ], $by);
        }
        foreach (DemoRecords::CAUTIONS as [$key, $level, $use, $text, $days]) {
            $this->cautions->set(
                $parties[$key],
                ['level' => $level, 'use' => $use, 'text' => $text, 'since' => '', 'until' => $days === null ? '' : $this->daysAgo(-$days)],
                $by,
            );
        }
    }

    /** @param  array<string, Party>  $parties */
    private function files(array $parties, User $by): void
    {
        foreach (DemoRecords::FILES as [$key, $name, $kind, $days, $content]) {
            $path = (string) tempnam(sys_get_temp_dir(), 'demo');
            file_put_contents($path, $content);
            $this->files->add($parties[$key], new UploadedFile($path, $name, test: true), FileKind::from($kind), $by);
            $this->files->change($parties[$key]->files()->firstOrFail(), [
                'name' => $name, 'kind' => $kind, 'expiresOn' => $this->daysAgo(-$days), 'isPrivate' => false,
            ], $by);
            unlink($path);
        }
    }

    /**
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function remind(array $parties, array $users): void
    {
        foreach (DemoRecords::REMINDERS as [$key, $user, $days, $time, $rule, $text]) {
            $this->reminders->add($parties[$key], [
                'text' => $text, 'day' => $this->daysAgo(-$days), 'time' => $time, 'rule' => $rule, 'userId' => $users[$user]->id,
            ], $users[0]);
        }
    }
}
