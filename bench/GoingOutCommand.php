<?php

declare(strict_types=1);

namespace Bench;

use Almanac\Interchange\ListFormat;
use Almanac\Mailing\LabelSheet;
use App\Actions\Mailing\RunLetters;
use App\Actions\Mailing\WriteLetters;
use App\Facts\Lists\Chosen;
use App\Facts\Lists\Wanted;
use App\Models\LetterRun;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Papers\LabelPaper;
use App\Queries\Interchange\WriteList;
use App\Queries\Mailing\ReadMailing;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Queue;

/**
 * Writes what an office gives out in a process of its own: its list as a file, labels, letters; says how long each took
 * and how much memory.
 */
final class GoingOutCommand extends Command
{
    private const LABELS = 1000;

    private const LETTERS = 500;

    private const LETTER = "{greeting}\n\nOn {date} our books say that you owe us {receivable|nothing}, of which {overdue|nothing} is past its day. We have you at\n"
        ."{address}\n{phone}\n\nIf you see it otherwise, please call.\n\n{my name}\n{our name}";

    protected $signature = 'almanac:bench-going-out {what : csv, xlsx, ods, labels, letters or emails} {--day=}';

    protected $description = 'Time a list as a file, labels, letters';

    public function handle(WriteList $list, ReadMailing $mailing, LabelPaper $labels, RunLetters $run, WriteLetters $write): int
    {
        config(['almanac.today' => $this->option('day')]);
        Queue::fake();
        $by = User::query()->firstOrFail();
        $start = hrtime(true);
        $what = is_string($this->argument('what')) ? $this->argument('what') : '';
        $told = match ($what) {
            'labels' => $this->labels($mailing, $labels, $by),
            'letters', 'emails' => $this->letters($what === 'emails', $run, $write, $by),
            default => $this->file($list, ListFormat::from($what), $by),
        };
        $this->line(sprintf(
            '%s: %s in %.1f s, %.0f MB at the most', $what, $told, (hrtime(true) - $start) / 1e9,
            memory_get_peak_usage(true) / 1048576,
        ));

        return self::SUCCESS;
    }

    private function file(WriteList $list, ListFormat $format, User $by): string
    {
        $bytes = 0;
        foreach ($list->handle(new Wanted(''), $format, $by) as $piece) {
            $bytes += strlen($piece);
        }

        return sprintf('%s records, %.1f MB', number_format(Party::query()->whereNull('archived_on')->count()), $bytes / 1048576);
    }

    private function labels(ReadMailing $mailing, LabelPaper $labels, User $by): string
    {
        $envelopes = array_slice($mailing->handle(new Wanted(''), $this->people(self::LABELS * 2), false, $by)->envelopes, 0, self::LABELS);
        $pdf = $labels->pdf(LabelSheet::named('letter-30'), $envelopes, 0, 1, Office::current());

        return sprintf('%d labels, %.1f MB', count($envelopes), strlen($pdf) / 1048576);
    }

    private function letters(bool $isEmail, RunLetters $run, WriteLetters $write, User $by): string
    {
        $chosen = $this->people(self::LETTERS);
        $begun = $run->begin($chosen, [
            'subject' => 'How we stand', 'body' => self::LETTER, 'way' => $isEmail ? 'email' : 'paper',
            'isOnceAHousehold' => false, 'day' => '',
            'engagementId' => null,
        ], $by);
        $write->handle($begun);
        $done = LetterRun::query()->findOrFail($begun->id);

        return sprintf(
            '%d of %d letters, %s %s', $done->letters()->where('outcome', 'written')->count(), count($chosen->ids),
            $done->state->value, $done->failure,
        );
    }

    private function people(int $many): Chosen
    {
        $ids = Party::query()
            ->whereNull('archived_on')->where('is_deceased', false)->whereHas('addressUses')
            ->whereHas('contactPoints', fn ($points) => $points->where('kind', 'email'))
            ->orderBy('id')->limit($many)->pluck('id')->all();

        return new Chosen(false, '', false, array_map(fn (mixed $id) => is_numeric($id) ? (int) $id : 0, array_values($ids)));
    }
}
